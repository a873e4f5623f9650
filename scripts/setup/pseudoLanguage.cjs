/**
 * Babel plugin of the pseudo-language build: every word of the core in letters that no English has.
 * What still reads as English on a screen did not come through `words/`.
 */
const SPEAKS = require('./speakingRooms.cjs');
const CORE = 'packages/core/src/';
const SCREENS = /packages\/core\/src\/words\/screens\//;
const PLAIN = 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ';
const PSEUDO = 'áƀçđéƒǧĥíĵķļɱñóƥɋŕšţúṽŵẋýžÁƁÇĐÉƑǦĤÍĴĶĻṀÑÓƤɊŔŠŢÚṼŴẊÝŽ';

const pseudo = (text) =>
  text.replace(/[A-Za-z]/g, (letter) => [...PSEUDO][PLAIN.indexOf(letter)] ?? letter);
/** A phrase, or a word that begins one; codes are single words in small letters. */
const isSpoken = (text) => /[A-Za-z]{2,}[ ,.:;?]|[ ,.“][A-Za-z]{2,}|^[A-Z][a-z]+/.test(text);

/** Codes: what is compared, looked up by, or named. */
const isCode = ({ parent, key }) =>
  /^(Import|Export)/.test(parent.type) ||
  parent.type === 'TSLiteralType' ||
  parent.type === 'SwitchCase' ||
  (parent.type === 'BinaryExpression' && parent.operator !== '+') ||
  ((parent.type === 'ObjectProperty' || parent.type === 'MemberExpression') &&
    (key === 'key' || key === 'property'));

module.exports = () => {
  const speaks = ({ filename = '' }) =>
    filename.includes(CORE) && SPEAKS.test(filename.slice(filename.indexOf(CORE) + CORE.length));
  const isSaid = (state, text) =>
    SCREENS.test(state.filename ?? '') ? /[A-Za-z]{2,}/.test(text) : isSpoken(text);
  return {
    name: 'pseudo-language',
    visitor: {
      StringLiteral(path, state) {
        if (speaks(state) && !isCode(path) && isSaid(state, path.node.value))
          path.node.value = pseudo(path.node.value);
      },
      TemplateLiteral(path, state) {
        if (!speaks(state)) return;
        const whole = path.node.quasis.map(({ value }) => value.cooked ?? '').join(' ');
        if (!isSaid(state, whole)) return;
        for (const { value } of path.node.quasis) {
          value.cooked = pseudo(value.cooked ?? '');
          value.raw = value.cooked.replace(/[\\`]|\$\{/g, '\\$&');
        }
      },
    },
  };
};
