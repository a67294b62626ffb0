declare module '*.md?sections' {
  const sections: import('../../guide-sections.mjs').GuideSection[];
  export default sections;
}
