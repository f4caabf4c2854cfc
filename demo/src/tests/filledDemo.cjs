/** Before the demo's tests: a filled workshop that they copy. */
module.exports = async () => {
  const { ensureFilledDemo } = await import('../../../scripts/bootstrap.mjs');
  process.env.WESKOPOS_FILLED_DEMO = ensureFilledDemo();
};
