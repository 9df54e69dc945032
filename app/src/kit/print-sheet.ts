/** Prints what stands in the page as `.print-sheet` alone, on a sheet of a size; the page's own look comes back after it. */
export function printSheet({
  widthMm,
  heightMm,
  marginMm = 0,
}: {
  widthMm: number;
  heightMm: number;
  marginMm?: number;
}): void {
  const page = new CSSStyleSheet();
  page.replaceSync(`@page { size: ${widthMm}mm ${heightMm}mm; margin: ${marginMm}mm }`);
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, page];
  document.documentElement.classList.add('printing-sheet');
  const back = (): void => {
    document.documentElement.classList.remove('printing-sheet');
    document.adoptedStyleSheets = document.adoptedStyleSheets.filter((one) => one !== page);
  };
  window.addEventListener('afterprint', back, { once: true });
  window.print();
}
