/** @jest-environment jsdom */
import '../../testing/browser';
import { describe, expect, test } from '@jest/globals';
import { composeStore, stats } from '../../testing/composeStore';
import { selectView } from '../selectors';
import { runForTrack, TRACK_COMMANDS } from './trackCommands';

const COLUMNS = ['100px', '2fr', '1fr'];

const run = (id: string, axis: 'column' | 'row', index: number) => {
  const compose = composeStore(stats([[1, 1]], { columns: COLUMNS, rows: ['80px', '1fr'] }));
  const command = TRACK_COMMANDS.find((each) => each.id === id);
  if (!command) throw new RangeError(`No command of tracks is “${id}”.`);
  compose.run(runForTrack(command, axis, index));
  const { columns, rows } = selectView(compose.store.getState()).arrangement;
  return { columns, rows, steps: compose.steps() };
};

describe('commands of one column or row', () => {
  test.each([
    ['before', 1, ['100px', '1fr', '2fr', '1fr'], 'Insert a column before'],
    ['after', 1, ['100px', '2fr', '1fr', '1fr'], 'Insert a column after'],
    ['duplicate', 0, ['100px', '100px', '2fr', '1fr'], 'Duplicate the column'],
    ['delete', 1, ['100px', '1fr'], 'Delete the column'],
    ['even', 0, ['1fr', '1fr', '1fr'], 'Make all columns equal'],
    ['reset', 0, ['1fr', '2fr', '1fr'], 'Reset the column'],
  ] as const)('%s, at column %i', (id, index, columns, step) => {
    expect(run(id, 'column', index)).toMatchObject({ columns, steps: [step] });
  });

  test('of a row speak of rows, and leave the columns alone', () => {
    expect(run('delete', 'row', 0)).toEqual({ columns: COLUMNS, rows: ['1fr'], steps: ['Delete the row'] });
  });

  test('each has words of its own, of columns and of rows', () => {
    const words = TRACK_COMMANDS.flatMap((each) => [each.words('column'), each.words('row')]);
    expect(new Set(words).size).toBe(2 * TRACK_COMMANDS.length);
  });
});
