/** The browser's own way of picking a file; nothing when it is closed again. */
export function pickFile(accept: string): Promise<File | undefined> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.onchange = () => {
      resolve(input.files?.[0]);
    };
    input.oncancel = () => {
      resolve(undefined);
    };
    input.click();
  });
}
