import { nameIn, partIn, type TextPart, type Words } from '@noria/core';
import { EditorContent } from '@tiptap/react';
import {
  useCallback,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
  type CSSProperties,
  type KeyboardEvent,
  type ReactNode,
} from 'react';
import { createPortal } from 'react-dom';
import { giveFocusBack } from '../../ui/typing';
import { takeTypedAhead, typeAhead } from '../commands/typedAhead';
import { selectShown } from '../document/selectors';
import { writingIn, type WordsPlace } from '../editorSlice';
import { useAppDispatch, useAppSelector, useAppStore } from '../hooks';
import { partName } from '../parts/partNames';
import { PART } from '../parts/fields';
import { useSetPart } from '../parts/useSetPart';
import { selectWhole } from '../selectors';
import { TextMarks } from '../settings/content/TextMarks';
import { useRichText } from '../settings/content/useRichText';
import { drawnWords } from './onStage';
import { isRich, writtenIn } from './places';
import { writeBeside } from './write';

interface WordsOnStageProps {
  readonly place: WordsPlace;
  readonly scale: number;
  /** The bar above the stage, which says how to go on. */
  readonly bar: HTMLElement | null;
}

/** A field over words on the stage, that looks as they do. */
export function WordsOnStage({ place, scale, bar }: WordsOnStageProps) {
  const collection = useAppSelector(selectShown);
  const found = partIn(collection.tiles[place.tile], place.part);
  const part = found?.hidden ? undefined : found;
  const written = part && writtenIn(part);
  const [name] = useState(() => {
    const label = written?.field === 'caption' ? PART.caption.label : part ? partName(part) : '';
    return { label, whole: `${label} of “${nameIn(collection, place.tile)}”` };
  });
  const set = useSetPart({ part: part as TextPart, ids: [place.tile] });
  const style = useDrawn(place, scale);
  const keys = useWritingKeys(place, (before) => {
    if (written) set(written.field, name.label, before);
  });
  const dispatch = useAppDispatch();
  const onTypedOn = useCallback(() => void dispatch(writeBeside(1)), [dispatch]);
  const isGone = !written;
  useEffect(() => {
    // An undo or somebody else took the words away: keys are no longer for them.
    if (isGone) dispatch(writingIn(null));
  }, [isGone, dispatch]);
  if (!part || !written) return null;
  const field = {
    name: name.whole,
    onTypedOn,
    onType: (words: Words) => set(written.field, name.label, words),
  };
  return (
    <div
      className="pointer-events-none absolute top-0 left-0 z-[110] h-0 w-0 origin-top-left"
      style={{ transform: `scale(${scale})` }}
    >
      <div
        data-writing
        className="written pointer-events-auto absolute box-border cursor-text outline-2 outline-offset-4 outline-copper select-text"
        style={style}
        {...keys(isRich(part) ? part.words : written.words, isRich(part))}
      >
        {isRich(part) ? (
          <RichWords {...field} value={part.words} bar={bar} label={name.label} />
        ) : (
          <>
            <PlainWords {...field} value={written.words} />
            <WritingBar bar={bar} label={name.label} ends="Enter" />
          </>
        )}
      </div>
    </div>
  );
}

/** Where the words lie and what they look like, after everything that moves or changes them. */
function useDrawn(place: WordsPlace, scale: number): CSSProperties {
  const collection = useAppSelector(selectShown);
  const layout = useAppSelector(selectWhole);
  const needle = useAppSelector((state) => state.editor.needle);
  const [style, setStyle] = useState<CSSProperties>({ opacity: 0 });
  useLayoutEffect(() => {
    const measure = () => {
      const drawn = drawnWords(place, scale);
      if (drawn) setStyle((was) => (JSON.stringify(was) === JSON.stringify(drawn) ? was : drawn));
    };
    measure();
    // Fonts that come, and pictures, move words too.
    const frame = requestAnimationFrame(measure);
    return () => cancelAnimationFrame(frame);
  }, [place, scale, collection, layout, needle]);
  return style;
}

/** Escape restores what was written, Enter ends, Tab goes on to the next words; leaving ends too. */
function useWritingKeys(place: WordsPlace, restore: (before: Words) => void) {
  const dispatch = useAppDispatch();
  const { getState } = useAppStore();
  const before = useRef<Words | null>(null);
  const isHere = () => {
    const { writing } = getState().editor;
    return writing?.tile === place.tile && writing.part === place.part;
  };
  return (value: Words, hasLines: boolean) => ({
    onFocus: () => void (before.current ??= value),
    onBlur: ({ relatedTarget }: { readonly relatedTarget: EventTarget | null }) => {
      const stays = relatedTarget instanceof Element && relatedTarget.closest('[data-writing]');
      if (!stays && document.hasFocus() && isHere()) dispatch(writingIn(null));
    },
    onKeyDownCapture: (event: KeyboardEvent<HTMLElement>) => {
      const isEnter = event.key === 'Enter' && (!hasLines || event.ctrlKey || event.metaKey);
      // The bar is another’s, and so is what is composed of several keys.
      if (!event.currentTarget.contains(event.target as Node) || event.nativeEvent.isComposing) return;
      if (event.key === 'Tab') {
        event.preventDefault();
        event.stopPropagation();
        if (dispatch(writeBeside(event.shiftKey ? -1 : 1))) return;
      } else if (event.key === 'Escape') {
        if (before.current !== null && JSON.stringify(before.current) !== JSON.stringify(value))
          restore(before.current);
      } else if (!isEnter) return;
      event.preventDefault();
      event.stopPropagation();
      const field = event.currentTarget;
      dispatch(writingIn(null));
      giveFocusBack(field);
    },
  });
}

/**
 * What was typed before the field came, in the place of what is selected; as if it were typed now.
 * @param insert puts words in the place of what is selected
 * @param onTypedOn goes on to the next words, where a tabulator was typed
 */
function insertTypedAhead(insert: (words: string) => void, onTypedOn: () => void) {
  const [here, ...further] = takeTypedAhead().split('\t');
  if (here) insert(here);
  if (further.length === 0) return;
  typeAhead(further.join('\t'));
  onTypedOn();
}

interface FieldProps<Value> {
  readonly name: string;
  readonly onTypedOn: () => void;
  readonly value: Value;
  readonly onType: (value: Value) => void;
}

/** Words without marks, in one paragraph. */
function PlainWords({ name, value, onType, onTypedOn }: FieldProps<string>) {
  const field = useRef<HTMLDivElement>(null);
  const typed = useRef(onType);
  useEffect(() => void (typed.current = onType));
  useLayoutEffect(() => {
    const at = field.current;
    // What came from elsewhere, such as an undo, is shown; the caret stays where something is typed.
    if (!at || at.textContent === value) return;
    at.textContent = value;
    if (at === document.activeElement) getSelection()?.selectAllChildren(at);
    if (at === document.activeElement) getSelection()?.collapseToEnd();
  }, [value]);
  useEffect(() => {
    const at = field.current;
    if (!at) return;
    at.focus({ preventScroll: true });
    getSelection()?.selectAllChildren(at);
    insertTypedAhead((words) => {
      at.textContent = words;
      getSelection()?.selectAllChildren(at);
      getSelection()?.collapseToEnd();
      typed.current(words);
    }, onTypedOn);
  }, [onTypedOn]);
  return (
    <div
      ref={field}
      role="textbox"
      aria-label={name}
      contentEditable="plaintext-only"
      suppressContentEditableWarning
      className="min-w-[1px] whitespace-pre-wrap outline-none"
      onInput={({ currentTarget }) => onType(currentTarget.textContent.replace(/\s*\n\s*/g, ' '))}
    />
  );
}

interface RichWordsProps extends FieldProps<Words> {
  readonly bar: HTMLElement | null;
  readonly label: string;
}

function RichWords({ bar, label, onTypedOn, ...field }: RichWordsProps) {
  const editor = useRichText({ ...field, className: 'whitespace-break-spaces outline-none' });
  useEffect(() => {
    // Its own command gives the focus a frame later, and what is typed meanwhile would be lost.
    editor.commands.selectAll();
    editor.view.focus();
    insertTypedAhead((words) => editor.commands.insertContent(words), onTypedOn);
  }, [editor, onTypedOn]);
  return (
    <>
      <EditorContent editor={editor} />
      <WritingBar bar={bar} label={label} ends="Ctrl + Enter">
        <TextMarks editor={editor} />
      </WritingBar>
    </>
  );
}

interface WritingBarProps {
  readonly bar: HTMLElement | null;
  readonly label: string;
  readonly ends: string;
  readonly children?: ReactNode;
}

/** What is written in, how it is marked, and how to go on, in the bar above the stage. */
const WritingBar = ({ bar, label, ends, children }: WritingBarProps) =>
  bar &&
  createPortal(
    <div data-writing className="flex h-full items-center gap-3 px-4 text-sm">
      <span className="font-semibold">{label}</span>
      {children}
      <span className="truncate text-soft">Tab goes to the next words, {ends} ends, Escape restores.</span>
    </div>,
    bar,
  );
