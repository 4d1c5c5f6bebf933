import config from './playwright.config';

export default { ...config, testMatch: 'speed.ts', workers: 1 };
