/** npm run skills: writes docs/skills.md, the skill map with the published goals it matches. */
import { writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import {
  GOALS,
  SKILLS,
  STRANDS,
  STRAND_TITLES,
  goalCode,
  skillOf,
  skillsOfStrand,
} from '@gumo/core/skills';

const row = (cells) =>
  `| ${cells.map((cell) => String(cell).replaceAll('|', '\\|')).join(' | ')} |`;

/** The whole page as Markdown. */
export function skillTable() {
  const lines = [
    '# The skill map',
    '',
    `Written by \`npm run skills\` from the data in \`core/src/skills/\`: ${SKILLS.length} skills in ${STRANDS.length} strands. Ids are stored with evidence and never change. *Builds on* names what opens a skill. Codes and contents of published goals were written down from memory and are paraphrased; they say that Gumo’s skill and the goal mean the same, not that a child has met the goal.`,
  ];
  for (const strand of STRANDS) {
    lines.push('', `## ${STRAND_TITLES[strand]}`, '');
    lines.push(row(['id', 'skill', 'items', 'builds on', 'answers', 'matches']));
    lines.push(row(['---', '---', '---', '---', '---', '---']));
    for (const skill of skillsOfStrand(strand)) {
      const below = skill.buildsOn.map((id) => skillOf(id).id).join(', ') || '–';
      const matches = skill.matches.join(', ') || '–';
      const cells = [skill.title, skill.items.length, below, skill.answers, matches];
      lines.push(row([`\`${skill.id}\``, ...cells]));
    }
  }
  lines.push('', '## Published goals', '');
  lines.push(row(['code', 'says, in short', 'source', 'skills']));
  lines.push(row(['---', '---', '---', '---']));
  for (const goal of GOALS) {
    const skills = SKILLS.filter((skill) => skill.matches.map(goalCode).includes(goal.code));
    const source = `${goal.source}${goal.fromMemory ? '; from memory' : ''}`;
    lines.push(row([goal.code, goal.says, source, skills.map((skill) => skill.id).join(', ')]));
  }
  return `${lines.join('\n')}\n`;
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  writeFileSync(new URL('../docs/skills.md', import.meta.url), skillTable());
}
