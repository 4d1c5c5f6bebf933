import config from './playwright.config';

export default { ...config, testMatch: 'zz-look.ts', workers: 1 };
