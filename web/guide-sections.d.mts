import type { Plugin } from 'vite';

export interface GuideSection {
  /** Its title as an address. */
  slug: string;
  title: string;
  /** 2 for a part of the guide, 3 for a section of it. */
  level: number;
  html: string;
  /** The same without tags, to be looked through. */
  text: string;
}
export function sectionsOf(markdown: string): GuideSection[];
export function guideSections(): Plugin;
