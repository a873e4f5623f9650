/** On paper: the whole plan, run on over pages, without what only a screen can do. */
const PRINT = `@media print {
  html, body, #root, #root div, main { height: auto !important; max-height: none !important; overflow: visible !important; }
  #root, #root > div { display: block !important; position: static !important; }
  #print-hide-actions, #print-hide-footer, #print-hide-tree, #print-hide-menu { display: none !important; }
  svg, li { break-inside: avoid; }
}`;

export function PrintStyle() {
  return <style>{PRINT}</style>;
}
