/** An object with one more field, a list that is written as it is read; an empty list is left out unless it is wanted. */
export async function* withList(
  object: object,
  name: string,
  entries: AsyncIterable<unknown>,
  { evenEmpty = false }: { readonly evenEmpty?: boolean } = {},
): AsyncGenerator<string> {
  const text = JSON.stringify(object, null, 2);
  const open = `${text.slice(0, text.lastIndexOf('}')).trimEnd()},\n  ${JSON.stringify(name)}: [\n`;
  let isFirst = true;
  for await (const entry of entries) {
    yield `${isFirst ? open : ',\n'}${JSON.stringify(entry)}`;
    isFirst = false;
  }
  if (!isFirst) yield '\n]}\n';
  else yield evenEmpty ? `${open}]}\n` : `${text}\n`;
}
