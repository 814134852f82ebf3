import packed from 'moment-timezone/data/packed/latest.json';

/** Stands for `node:module` where the builders run in a browser: there is one thing they require. */
export const createRequire = () => () => packed;
