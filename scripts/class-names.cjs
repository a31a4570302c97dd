/** A style sheet to a test: every class goes by its own name. */
module.exports = new Proxy(
  { __esModule: true },
  { get: (known, name) => (name === 'default' ? module.exports : (known[name] ?? name)) },
);
