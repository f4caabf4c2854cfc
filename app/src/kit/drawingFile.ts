/** How much finer a picture is than it stands on the page, so that it can be printed. */
const FINER = 3;
const NAMESPACE = 'http://www.w3.org/2000/svg';

/** The drawing of a view as a file of its own: SVG text with its size, its letters' colours and a ground. */
export function drawingSvg(view: Element, ground: string): string | null {
  const svg = view.querySelector('svg');
  if (!svg) return null;
  const { width, height } = svg.getBoundingClientRect();
  const own = svg.cloneNode(true) as SVGElement;
  own.setAttribute('xmlns', NAMESPACE);
  own.setAttribute('width', String(Math.round(width)));
  own.setAttribute('height', String(Math.round(height)));
  if (!own.hasAttribute('viewBox')) own.setAttribute('viewBox', `0 0 ${width} ${height}`);
  // Its place on the page is no part of it.
  own.removeAttribute('style');
  own.removeAttribute('class');
  const [left = '0', top = '0', wide = String(width), high = String(height)] = (
    own.getAttribute('viewBox') ?? ''
  ).split(/[\s,]+/);
  const sheet = document.createElementNS(NAMESPACE, 'rect');
  for (const [name, value] of Object.entries({ x: left, y: top, width: wide, height: high, fill: ground }))
    sheet.setAttribute(name, value);
  own.prepend(sheet);
  return new XMLSerializer().serializeToString(own);
}

/** The same as a picture. Rejects where the browser cannot draw it. */
export async function drawingPng(svg: string): Promise<Blob> {
  const picture = new Image();
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await picture.decode();
  const canvas = document.createElement('canvas');
  canvas.width = picture.naturalWidth * FINER;
  canvas.height = picture.naturalHeight * FINER;
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('the drawing gave no picture'))), 'image/png'),
  );
}
