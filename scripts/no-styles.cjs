/** Stands for emotion's sheet: jsdom draws nothing, and would look through every rule for each name it is asked for. */
class StyleSheet {
  tags = [];
  ctr = 0;
  before = null;
  constructor({ key, nonce, container }) {
    Object.assign(this, { key, nonce, container });
  }
  hydrate() {}
  insert() {}
  flush() {}
}
module.exports = { StyleSheet };
