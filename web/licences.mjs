// Writes the licences of every package of which a part is shipped to the browser (the "dependencies" of
// package.json and theirs) to target/licences.md; fails when one says nothing of its licence.
import { execFileSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';

const folders = execFileSync('npm', ['ls', '--omit=dev', '--all', '--parseable'], {
  encoding: 'utf8',
})
  .trim()
  .split('\n')
  .slice(1);

const parts = folders.sort().map((folder) => {
  const { name, version, license } = JSON.parse(readFileSync(`${folder}/package.json`, 'utf8'));
  if (!license) throw new Error(`${name} ${version} names no licence`);
  const texts = readdirSync(folder)
    .filter((file) => /^(licen[cs]e|copying|notice)/i.test(file))
    .map((file) => readFileSync(`${folder}/${file}`, 'utf8').trim());
  return [`## ${name} ${version}: ${license}`, ...texts].join('\n\n');
});

mkdirSync('target', { recursive: true });
writeFileSync('target/licences.md', `# Shipped with the interface\n\n${parts.join('\n\n')}\n`);
