const { configure } = require('@testing-library/react');
// A slow machine is no fault: what is waited for and never comes ends with its test.
configure({ asyncUtilTimeout: 30_000 });
