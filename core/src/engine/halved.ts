/** Where a question that is answered yes below a place and no above it turns: the ends of what is left after so many halvings. */
export function halved(
  from: number,
  to: number,
  times: number,
  below: (middle: number) => boolean,
): readonly [low: number, high: number] {
  let [low, high] = [from, to];
  for (let k = 0; k < times; k++) {
    const middle = (low + high) / 2;
    if (below(middle)) low = middle;
    else high = middle;
  }
  return [low, high];
}
