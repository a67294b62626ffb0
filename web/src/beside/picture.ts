/** A drawing as a file of its own: styles that it takes from the page are written into it. */
export function svgText(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const from = [svg, ...svg.querySelectorAll<SVGElement>('*')];
  const to = [copy, ...copy.querySelectorAll<SVGElement>('*')];
  from.forEach((element, i) => {
    const style = getComputedStyle(element);
    for (const name of ['fill', 'stroke', 'stroke-width', 'stroke-dasharray', 'opacity']) {
      to[i].style.setProperty(name, style.getPropertyValue(name));
    }
    if (element.tagName === 'text') {
      to[i].style.setProperty('font', `${style.fontWeight} ${style.fontSize} sans-serif`);
    }
  });
  const box = svg.getBoundingClientRect();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(Math.round(box.width)));
  copy.setAttribute('height', String(Math.round(box.height)));
  copy.style.background = getComputedStyle(document.body).backgroundColor;
  return new XMLSerializer().serializeToString(copy);
}

/** The same as a PNG, twice as fine as it is on the screen. */
export async function pngOf(svg: SVGSVGElement): Promise<Blob> {
  const box = svg.getBoundingClientRect();
  const picture = new Image();
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgText(svg))}`;
  await picture.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(2 * box.width);
  canvas.height = Math.round(2 * box.height);
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no picture'))), 'image/png'),
  );
}

/** Hands a file to the device. */
export function download(content: Blob, name: string): void {
  const url = URL.createObjectURL(content);
  const link = Object.assign(document.createElement('a'), { href: url, download: name });
  link.click();
  // The browser has it in hand by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
