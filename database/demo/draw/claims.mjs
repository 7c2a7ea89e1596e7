// What a picture proves: a figure, measured on what it is drawn from, that singles out its key from all that is wrong.

/** The middle of a region, in pixels of its drawing. */
export function middle({ circle, rectangle, polygon }, width, height) {
  const mean = (values) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const [x, y] = circle ?? (rectangle ? [(rectangle[0] + rectangle[2]) / 2, (rectangle[1] + rectangle[3]) / 2] : [0, 1].map((i) => mean(polygon.map((point) => point[i]))));
  return [x * width, y * height];
}

/** A claim about all regions of a picture: `at` measures at the middle of one; the key lies from `least` to `most`. */
export function claim(measure, [least, most], regions, [width, height], at) {
  const places = Object.fromEntries(Object.entries(regions).map(([name, region]) => [name, Math.round(1000 * at(...middle(region, width, height), name)) / 1000]));
  return { measure, least, most, places };
}

/** Where a drawn line lies at x; its points go from left to right. */
export function lineAt(points, x) {
  const i = Math.max(1, points.findIndex(([u]) => u >= x));
  const [[a, b], [c, d]] = [points[i - 1], points[i]];
  return b + ((d - b) * (x - a)) / (c - a);
}

/** The distance from a point to a line of points. */
export function distance([x, y], points) {
  return Math.min(...points.slice(1).map(([c, d], i) => {
    const [a, b] = points[i];
    const t = Math.max(0, Math.min(1, ((x - a) * (c - a) + (y - b) * (d - b)) / ((c - a) ** 2 + (d - b) ** 2)));
    return Math.hypot(x - a - t * (c - a), y - b - t * (d - b));
  }));
}
