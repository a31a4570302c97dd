/** A morning at work, whenever the tests run. */
module.exports = { NOW: '2026-11-24T10:20:00+01:00' };
