import config from './playwright.config';

export default { ...config, testMatch: 'screenshots.ts', workers: 1 };
