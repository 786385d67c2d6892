/** @throws RangeError with the name, the value and the allowed range in words */
export function assertRange(name: string, value: number, low: number, high: number): void {
  if (!(value >= low && value <= high)) {
    throw new RangeError(`${name} is ${value}; it must lie between ${low} and ${high}`);
  }
}
