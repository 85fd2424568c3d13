/** Rules of the styles a page is drawn with, as one text. */
function styles(): string {
  const out: string[] = [];
  for (const sheet of document.styleSheets)
    for (const rule of sheet.cssRules) if (!(rule instanceof CSSFontFaceRule)) out.push(rule.cssText);
  return out.join('\n');
}

/** A part of the page as a page of its own, which needs nothing else to be read: no script, no font, no signal. */
export function alone(part: Element, title: string): string {
  const copy = part.cloneNode(true) as Element;
  for (const b of copy.querySelectorAll('button')) b.remove();
  const page = document.implementation.createHTMLDocument(title);
  page.documentElement.lang = document.documentElement.lang;
  // The light it is read in is the one it was kept in.
  for (const { name, value } of document.documentElement.attributes)
    if (name.startsWith('data-')) page.documentElement.setAttribute(name, value);
  page.head.insertAdjacentHTML(
    'beforeend',
    '<meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">',
  );
  const style = page.createElement('style');
  style.textContent = styles();
  page.head.append(style);
  page.body.append(page.importNode(copy, true));
  return new XMLSerializer().serializeToString(page);
}

/** A name any device takes for a file. */
export const fileName = (name: string, ending: string) =>
  `${name.replace(/[^\p{L}\p{N}]+/gu, ' ').trim()}.${ending}`;

/** Has the browser keep a text as a file. */
export function keepFile(name: string, text: string, type: string) {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
