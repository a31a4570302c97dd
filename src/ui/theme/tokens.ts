export const fonts = {
  text: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif",
  figure: "'Atkinson Hyperlegible Mono Variable', ui-monospace, monospace",
};
