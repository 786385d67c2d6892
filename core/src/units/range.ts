/** A figure that a computation has no answer for; its message is a sentence for a person. */
export class OutOfRange extends RangeError {}

/** @throws OutOfRange with the name, the value and the allowed range in words */
export function assertRange(name: string, value: number, low: number, high: number): void {
  if (!(value >= low && value <= high)) {
    throw new OutOfRange(`${name} is ${value}; it must lie between ${low} and ${high}`);
  }
}
