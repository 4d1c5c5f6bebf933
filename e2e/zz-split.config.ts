import config from './playwright.config';

export default { ...config, testMatch: 'zz-split.ts', workers: 1 };
