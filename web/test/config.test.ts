import { describe, expect, it } from 'vitest';
import { readConfig } from '../src/server/config';

describe('configuration', () => {
  it('names the variable that is missing or wrong', () => {
    expect(() => readConfig({})).toThrow(/DATABASE_URL/);
    expect(() => readConfig({ DATABASE_URL: 'mysql://x' })).toThrow(/DATABASE_URL/);
    expect(() => readConfig({ DATABASE_URL: 'postgres://a@127.0.0.1/b', LOG_LEVEL: 'loud' })).toThrow(
      /LOG_LEVEL/,
    );
  });
  it('takes what is right, with its defaults', () =>
    expect(readConfig({ DATABASE_URL: 'postgres://a@127.0.0.1:5432/b' })).toMatchObject({
      LOG_LEVEL: 'info',
      UMBREX_DEMO: '0',
    }));
});
