// What of a screen does not fit: called as a function's body, answers a list of sentences.
const WIDTH = document.documentElement.clientWidth;
const LEAST_TARGET_PX = 44;
// Rounding of a layout; and line boxes are higher than their letters.
const ROUNDING_PX = 1;
const TOUCHING_PX = 3;
const LINE_BOX_SHARE = 0.45;

const seen = (e) => e.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true });
const named = (e) =>
  `${e.tagName.toLowerCase()} "${(e.getAttribute('aria-label') || e.textContent || '')
    .trim()
    .replace(/\s+/g, ' ')
    .slice(0, 40)}"`;

/** The part of a box that its scrolled or cut-off surroundings leave to be seen. */
function shown(e, box) {
  let { left, top, right, bottom } = box;
  for (let p = e; p && p !== document.body; p = p.parentElement) {
    const style = getComputedStyle(p);
    if (/auto|scroll|hidden|clip/.test(style.overflowX + style.overflowY)) {
      const around = p.getBoundingClientRect();
      left = Math.max(left, around.left);
      top = Math.max(top, around.top);
      right = Math.min(right, around.right);
      bottom = Math.min(bottom, around.bottom);
    }
  }
  return { left, top, right, bottom, width: right - left, height: bottom - top };
}

/** What stands over the rest on purpose, and scrolls under it. */
function over(e) {
  for (let p = e; p; p = p.parentElement) {
    if (/fixed|sticky/.test(getComputedStyle(p).position)) return true;
  }
  return false;
}

const controls = [
  ...document.querySelectorAll('a, button, input, select, textarea, summary'),
].filter((e) => seen(e) && !e.closest('.sr-only, svg') && e.getBoundingClientRect().width > 0);

function tooWide() {
  const width = document.documentElement.scrollWidth;
  const out = [...document.querySelectorAll('body *')].filter((e) => {
    if (!seen(e) || e.closest('.sr-only') || (e.closest('svg') && e.tagName !== 'svg')) return false;
    return shown(e.parentElement, e.getBoundingClientRect()).right > WIDTH + ROUNDING_PX;
  });
  return [
    ...(width > WIDTH ? [`the screen is ${width} wide`] : []),
    ...out.map((e) => `beyond the edge: ${named(e)}`),
  ];
}

/** A link within a sentence is as high as its line (WCAG 2.2, 2.5.8, inline). */
function tooSmall() {
  return controls
    .map((e) => ({ e, box: (/checkbox|radio|file/.test(e.type) && e.closest('label')) || e }))
    .filter(({ e }) => !(e.tagName === 'A' && getComputedStyle(e).display === 'inline'))
    .filter(({ box }) => {
      const { width, height } = box.getBoundingClientRect();
      return Math.min(width, height) < LEAST_TARGET_PX - ROUNDING_PX / 2;
    })
    .map(({ e, box }) => {
      const { width, height } = box.getBoundingClientRect();
      return `too small, ${Math.round(width)} by ${Math.round(height)}: ${named(e)}`;
    });
}

function texts() {
  const found = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const e = walker.currentNode.parentElement;
    if (!walker.currentNode.textContent.trim() || !seen(e) || over(e)) continue;
    if (e.closest('svg, .sr-only, option, script, style')) continue;
    const range = document.createRange();
    range.selectNodeContents(walker.currentNode);
    for (const box of range.getClientRects()) found.push({ e, text: true, box: shown(e, box) });
  }
  return found;
}

function overlapping() {
  const boxes = [
    ...texts(),
    ...controls
      .filter((e) => !over(e))
      .map((e) => ({ e, text: false, box: shown(e, e.getBoundingClientRect()) })),
  ].filter(({ box }) => box.width > 2 && box.height > 2);
  const told = [];
  boxes.forEach((a, i) => {
    for (const b of boxes.slice(i + 1)) {
      if (a.e.contains(b.e) || b.e.contains(a.e)) continue;
      const label = a.e.closest('label');
      if (label && label === b.e.closest('label')) continue;
      const across = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
      const down = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
      const lines = a.text && b.text ? LINE_BOX_SHARE * Math.min(a.box.height, b.box.height) : 0;
      if (across > TOUCHING_PX && down > Math.max(TOUCHING_PX, lines)) {
        told.push(`${named(a.e)} lies over ${named(b.e)}`);
      }
    }
  });
  return told;
}

return [...new Set([...tooWide(), ...tooSmall(), ...overlapping()])].slice(0, 20);
