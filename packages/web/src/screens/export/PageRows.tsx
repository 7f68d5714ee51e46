import { hasMainHeading, isPageAddress, LIMITS, setLanguage, setPage, type PageValues } from '@noria/core';
import { X } from 'lucide-react';
import { useId } from 'react';
import { useAppDispatch, useAppSelector } from '../../editor/hooks';
import { run } from '../../editor/document/run';
import { selectShown } from '../../editor/document/selectors';
import { ChoosePicture } from '../../editor/settings/content/ChoosePicture';
import { SignButton } from '../../ui/Button';
import { Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { TextField } from '../../ui/TextField';
import { WordsField } from '../../ui/WordsField';

/** Languages that are offered; any other can be written. */
const LANGUAGES = [
  'ar',
  'bg',
  'cs',
  'da',
  'de',
  'el',
  'en',
  'en-GB',
  'en-US',
  'es',
  'et',
  'fi',
  'fr',
  'he',
  'hi',
  'hr',
  'hu',
  'id',
  'it',
  'ja',
  'ko',
  'lt',
  'lv',
  'nb',
  'nl',
  'pl',
  'pt',
  'pt-BR',
  'ro',
  'ru',
  'sk',
  'sl',
  'sv',
  'th',
  'tr',
  'uk',
  'vi',
  'zh-Hans',
  'zh-Hant',
];

const called = new Intl.DisplayNames('en', { type: 'language' });

/** What a tag of a language is called; null: it is none. */
function languageOf(tag: string): string | null {
  try {
    return called.of(tag) ?? null;
  } catch {
    return null;
  }
}

const FIELDS = {
  title: 'Title',
  description: 'Description',
  address: 'Canonical address',
  picture: 'Social picture',
  icon: 'Icon',
  heading: 'Main heading',
} as const;

/** What the page says of itself: to search engines, to browsers, and where it is shared. */
export function PageRows() {
  const dispatch = useAppDispatch();
  const shown = useAppSelector(selectShown);
  const { name, language, page = {} } = shown;
  const list = useId();
  const set = (field: keyof PageValues, value: string | undefined, key: string | null = null) =>
    dispatch(run(FIELDS[field], setPage({ [field]: value }), key));
  return (
    <section className="grid gap-0.5">
      <h2 className="mb-1 text-sm font-semibold">Page</h2>
      <Row label="Language" help="Of the words in the tiles: by it they are hyphenated and read out">
        <TextField
          list={list}
          value={language}
          problem={(tag) => (languageOf(tag.trim()) ? null : 'Write a language as “en” or “pt-BR”.')}
          onSet={(tag) => dispatch(run('Language', setLanguage(tag.trim())))}
        />
        <datalist id={list}>
          {LANGUAGES.map((tag) => (
            <option key={tag} value={tag}>
              {languageOf(tag)}
            </option>
          ))}
        </datalist>
      </Row>
      <Row label={FIELDS.title} help="In the tab and in search results">
        <WordsField
          value={page.title ?? ''}
          hint={name}
          onType={(title) => set('title', title.slice(0, LIMITS.name), 'page title')}
        />
      </Row>
      <Row label={FIELDS.description} help="In search results, and where the page is shared">
        <WordsField
          lines={3}
          hint="none"
          value={page.description ?? ''}
          onType={(words) => set('description', words.slice(0, LIMITS.words), 'page description')}
        />
      </Row>
      <Row label={FIELDS.address} help="Where the page will stand; a social picture needs it">
        <TextField
          takesNothing
          placeholder="https://…"
          value={page.address ?? ''}
          problem={(text) =>
            text.trim() === '' || isPageAddress(text.trim())
              ? null
              : 'Write a whole address, such as https://example.org/huts.'
          }
          onSet={(text) => set('address', text.trim() || undefined)}
        />
      </Row>
      {(['picture', 'icon'] as const).map((field) => (
        <Row
          key={field}
          label={FIELDS[field]}
          help={field === 'picture' ? 'Shown where the page is shared' : 'In the tab of the browser'}
        >
          <div className="flex items-center gap-1.5 *:first:flex-1">
            <ChoosePicture
              name={FIELDS[field]}
              value={page[field] ?? null}
              onChoose={(picture) => set(field, picture)}
            />
            {page[field] !== undefined && (
              <SignButton
                name={`Remove the ${FIELDS[field].toLowerCase()}`}
                className="size-6!"
                onClick={() => set(field, undefined)}
              >
                <X size={14} aria-hidden />
              </SignButton>
            )}
          </div>
        </Row>
      ))}
      {!hasMainHeading(shown) && (
        <Row label={FIELDS.heading} help="Read out, and by search engines; not seen">
          <Segments
            value={page.heading ?? 'title'}
            choices={[
              { value: 'title', label: 'As the title' },
              { value: 'none', label: 'None' },
            ]}
            onChoose={(chosen) => set('heading', chosen === 'none' ? 'none' : undefined)}
          />
        </Row>
      )}
      {page.picture !== undefined && page.address === undefined && (
        <p className="text-sm text-soft">
          Others find the social picture only by a whole address. Write the canonical address too.
        </p>
      )}
    </section>
  );
}
