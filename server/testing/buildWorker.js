const { buildWorker } = require('../../scripts/bundles.cjs');

/** The server's tests work in real worker threads, which need the bundled worker. */
module.exports = () => buildWorker();
