/** @jest-environment jsdom */
import '../testing/browser';
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Choice } from './Choice';
import { NamedInput } from './NamedInput';
import { NumberField } from './NumberField';
import { Row } from './Rows';
import { Segments } from './Segments';
import { WordsField } from './WordsField';

afterEach(cleanup);

const nothing = () => undefined;
const choices = [
  { value: 'a', label: 'First' },
  { value: 'b', label: 'Second' },
] as const;

describe('a control without a name of its own', () => {
  test.each([
    ['a number', <NumberField key="" value={4} least={0} most={9} unit="px" onSet={nothing} />, 'textbox'],
    ['words', <WordsField key="" value="" onType={nothing} />, 'textbox'],
    ['several lines of words', <WordsField key="" value="" lines={3} onType={nothing} />, 'textbox'],
    ['a plain field', <NamedInput key="" />, 'textbox'],
    ['a list that opens', <Choice key="" value="a" choices={choices} onChoose={nothing} />, 'combobox'],
    ['a few words', <Segments key="" value="a" choices={choices} onChoose={nothing} />, 'radiogroup'],
  ])('%s is called by the label of its row', (_, control, role) => {
    render(<Row label="Gap">{control}</Row>);
    expect(screen.getAllByRole(role)).toEqual([screen.getByRole(role, { name: 'Gap' })]);
  });

  test('is led to by a press on the label', () => {
    render(
      <Row label="Gap">
        <NumberField value={4} least={0} most={9} onSet={nothing} />
      </Row>,
    );
    const label = screen.getByText<HTMLLabelElement>('Gap');
    expect(label.tagName).toBe('LABEL');
    expect(label.control).toBe(screen.getByRole('textbox'));
  });

  test('of a few words, the label leads to the word that is chosen, and changes nothing', () => {
    const onChoose = jest.fn();
    render(
      <Row label="Flow">
        <Segments value="b" choices={choices} onChoose={onChoose} />
      </Row>,
    );
    fireEvent.click(screen.getByText('Flow'));
    expect(document.activeElement).toBe(screen.getByRole('radio', { name: 'Second' }));
    expect(onChoose).not.toHaveBeenCalled();
  });
});

test('a press beside the figure goes to it', () => {
  render(
    <Row label="Gap">
      <NumberField value={4} least={0} most={9} unit="px" onSet={nothing} />
    </Row>,
  );
  fireEvent.click(screen.getByText('px'));
  expect(document.activeElement).toBe(screen.getByRole('textbox'));
});

test('what it is counted in describes a number, and does not name it', () => {
  render(
    <Row label="Gap">
      <NumberField value={4} least={0} most={9} unit="px, both ways" onSet={nothing} />
    </Row>,
  );
  const field = screen.getByRole('textbox', { name: 'Gap' });
  const described = document.getElementById(field.getAttribute('aria-describedby') ?? '');
  expect(described?.textContent).toBe('px, both ways');
});

test('a second control of a row has a name of its own', () => {
  render(
    <Row label="Width">
      <Segments value="a" choices={choices} onChoose={nothing} />
      <NumberField name="Maximum width" value={900} least={0} most={2000} onSet={nothing} />
    </Row>,
  );
  expect(screen.getAllByRole('radiogroup', { name: 'Width' })).toHaveLength(1);
  expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Maximum width' }).value).toBe('900');
  expect(screen.queryByRole('textbox', { name: 'Width' })).toBeNull();
});

describe('a row that is set in a band', () => {
  test('is inherited again by a press on its drop', () => {
    const onInherit = jest.fn();
    render(
      <Row label="Gap" setHere onInherit={onInherit}>
        <span />
      </Row>,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Gap: inherit from the wider band again' }));
    expect(onInherit).toHaveBeenCalledTimes(1);
  });
  test('has no drop where it is inherited', () => {
    render(
      <Row label="Gap">
        <span />
      </Row>,
    );
    expect(screen.queryByRole('button')).toBeNull();
  });
  test('says what else its drop does', () => {
    render(
      <Row label="Minimum width" setHere reset="Set by hand. Press to measure it again.">
        <span />
      </Row>,
    );
    expect(screen.getByRole('button', { name: 'Minimum width: reset' }).title).toContain('measure');
  });
});

test('a row without a label leaves its controls their names', () => {
  render(
    <Row label="">
      <WordsField name="Name" value="Beds" onType={nothing} />
    </Row>,
  );
  expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Name' }).value).toBe('Beds');
  expect(document.querySelector('label')).toBeNull();
});
