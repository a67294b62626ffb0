import { describe, expect, it } from 'vitest';

import { sectionsOf } from '../../guide-sections.mjs';
import guide from '../../../docs/guide.md?sections';
import { find, sectionFor } from './sections';

describe('the guide beside a screen', () => {
  it('opens at a section that there is, for every address', () => {
    const slugs = guide.map((section) => section.slug);
    const addresses = [
      '/shelf',
      '/new',
      '/cars/new',
      '/circuits/new',
      '/circuits/c',
      '/circuits/c/walk',
      '/books/b',
      '/books/b/corner/3',
      '/books/b/compare',
      '/books/b/car',
      '/books/b/calls',
      '/books/b/beside/o',
      '/books/b/sessions',
      '/books/b/sessions/s/brief',
      '/books/b/sessions/s/debrief',
      '/books/b/sessions/s/review',
      '/books/b/sessions/s/lead',
      '/books/b/laps',
      '/books/b/laps/beside',
      '/books/b/steps',
      '/books/b/rehearse/run',
    ];
    const sections = addresses.map(sectionFor);
    expect(slugs).toEqual(expect.arrayContaining(sections));
    expect(sectionFor('/books/b/corner/3')).toBe('page');
    expect(sectionFor('/circuits/new')).toBe('bringing-in-a-circuit');
    expect(sectionFor('/books/b')).toBe('book');
    // Each has words of its own: none is told by the first section for want of one.
    expect(sections.filter((slug) => slug === 'shelf-and-new-book')).toHaveLength(2);
    expect(new Set(slugs).size).toBe(slugs.length);
  });

  it('is cut at its headings, and loses nothing between them', () => {
    const [part, section] = sectionsOf(
      '# T\n\nlost\n\n## Part\n\na *b*\n\n### Deeper, in\n\n#### h\n\nc & d',
    );
    expect(part).toMatchObject({ slug: 'part', title: 'Part', level: 2, text: 'a b' });
    expect(section).toMatchObject({ slug: 'deeper-in', level: 3, text: 'h c & d' });
  });

  it('finds the sections that hold all words, those first whose title does', () => {
    const found = find(guide, 'kerbs');
    expect(found[0].section.slug).toBe('kerbs-and-track-limits');
    expect(found.length).toBeGreaterThan(3);
    expect(found[1].excerpt.toLowerCase()).toContain('kerbs');
    expect(find(guide, 'trail braking easing').map((f) => f.section.slug)).toEqual(['words']);
    expect(find(guide, 'kerbs zeppelin')).toEqual([]);
    expect(find(guide, '  ')).toEqual([]);
  });
});
