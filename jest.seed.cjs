const fc = require('fast-check');

/**
 * The same commit is tested with the same random inputs, so that a run which fails can be run again;
 * NORIA_SEED=any searches among others.
 */
const { NORIA_SEED = '20261124' } = process.env;
if (NORIA_SEED !== 'any') fc.configureGlobal({ seed: Number(NORIA_SEED) });
