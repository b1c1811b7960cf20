/** Names of what the page's styles give a drawing; written into the file, which has no style sheet. */
const KEPT = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'font-size',
  'font-weight',
  'font-family',
  'opacity',
];

/** A drawing as a file of its own: what it looks like here is written into each piece of it. */
export function svgText(drawn: SVGSVGElement, width: number, height: number): string {
  const copy = drawn.cloneNode(true) as SVGSVGElement;
  const [from, to] = [drawn.querySelectorAll('*'), copy.querySelectorAll('*')];
  from.forEach((piece, k) => {
    const look = getComputedStyle(piece);
    for (const name of KEPT) to[k]!.setAttribute(name, look.getPropertyValue(name));
    for (const name of ['class', 'tabindex', 'role', 'aria-pressed']) to[k]!.removeAttribute(name);
  });
  copy.querySelector('[data-view]')?.removeAttribute('transform');
  copy.removeAttribute('class');
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('viewBox', `-10 -10 ${Math.ceil(width) + 20} ${Math.ceil(height) + 20}`);
  return new XMLSerializer().serializeToString(copy);
}

export function saveSvg(drawn: SVGSVGElement | null, name: string): void {
  if (!drawn) return;
  const { width, height } = drawn.dataset;
  const file = new Blob([svgText(drawn, Number(width), Number(height))], { type: 'image/svg+xml' });
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = `${name}.svg`;
  link.click();
  URL.revokeObjectURL(link.href);
}
