// What core's tests ask of their runner (describe, it, each, expect), for tests that are run again and again in one process.
import {
  ASYMMETRIC_MATCHERS_OBJECT,
  chai,
  customMatchers,
  GLOBAL_EXPECT,
  JestAsymmetricMatchers,
  JestChaiExpect,
  JestExtend,
} from '@vitest/expect';

chai.use(JestExtend);
chai.use(JestChaiExpect);
chai.use(JestAsymmetricMatchers);

const expect = (value, message) => chai.expect(value, message);
Object.assign(expect, chai.expect);
Object.assign(expect, globalThis[ASYMMETRIC_MATCHERS_OBJECT]);
expect.fail = (message) => chai.expect.fail(message);
globalThis[GLOBAL_EXPECT] = expect;
chai.expect.extend(expect, customMatchers);

/** The tests that the file being loaded has named so far. */
let named = [];
let within = [];

const it = (name, ...more) => {
  const run = more.find((one) => typeof one === 'function');
  named.push({ name: [...within, name].join(' > '), run });
};
const describe = (name, ...more) => {
  within.push(name);
  try {
    more.find((one) => typeof one === 'function')();
  } finally {
    within.pop();
  }
};
const each =
  (of) =>
  (rows, ...values) => {
    if (values.length > 0 || rows.raw) throw new Error('rows as a template are not known here');
    return (name, ...more) => {
      const run = more.find((one) => typeof one === 'function');
      for (const row of rows) of(name, () => (Array.isArray(row) ? run(...row) : run(row)));
    };
  };
it.each = each(it);
describe.each = each(describe);

/** In place of the test runner's own package. */
export const vitest = { describe, it, test: it, expect, afterAll: () => {} };

/** The tests of a file, by loading it. */
export function testsBy(load) {
  named = [];
  within = [];
  load();
  return named;
}
