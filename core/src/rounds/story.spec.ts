import { Table } from './testing.js';

describe('a told story', () => {
  it('says one and many as a teacher would', () => {
    const table = new Table('story-props', 5);
    for (let n = 0; n < 5; n++) {
      const { say } = table.note();
      expect(say).not.toMatch(/One \w+s (sit|come|fly|are)|\bOne blow /);
    }
  });
});
