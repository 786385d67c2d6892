export const MOMENTS = [
  { key: 'morning', name: 'Before work', anchor: 'clock', minutes: 450, spareMin: 20 },
  { key: 'noon', name: 'Midday break', anchor: 'clock', minutes: 750, spareMin: 10 },
  { key: 'evening', name: 'After work', anchor: 'clock', minutes: 1110, spareMin: 40 },
  { key: 'night', name: 'After lights-out', anchor: 'lightsOff', minutes: 20, spareMin: 10 },
] as const;
export type MomentKey = (typeof MOMENTS)[number]['key'];
