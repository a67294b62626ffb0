import { readFileSync } from 'node:fs';
import { marked } from 'marked';

const QUERY = '?sections';

const slugOf = (title) =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

/** A text that is looked through: no tags, one blank between words. */
const plain = (html) =>
  html
    .replace(/<[^>]+>/g, ' ')
    .replace(/&#39;/g, "'")
    .replace(/&quot;/g, '"')
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ')
    .trim();

/**
 * The sections of a text in Markdown, one for each heading of the second and third level.
 *
 * @returns {{ slug: string, title: string, level: number, html: string, text: string }[]}
 */
export function sectionsOf(markdown) {
  const sections = [];
  for (const token of marked.lexer(markdown)) {
    if (token.type === 'heading' && token.depth <= 3) {
      if (token.depth > 1) {
        sections.push({ title: token.text, level: token.depth, tokens: [] });
      }
    } else {
      sections.at(-1)?.tokens.push(token);
    }
  }
  return sections.map(({ title, level, tokens }) => {
    const html = marked.parser(tokens);
    return { slug: slugOf(title), title, level, html, text: plain(html) };
  });
}

/** Lets a screen import a text in Markdown as its sections, made when the interface is built. */
export const guideSections = () => ({
  name: 'guide-sections',
  load(id) {
    if (!id.endsWith(`.md${QUERY}`)) return null;
    const file = id.slice(0, -QUERY.length);
    this.addWatchFile(file);
    return `export default ${JSON.stringify(sectionsOf(readFileSync(file, 'utf8')))};`;
  },
});
