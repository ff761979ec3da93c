/* global jest */
/** Plain Node waits for a test as long as it takes; `npm test` as a whole has its limit. */
jest.setTimeout = () => jest;
