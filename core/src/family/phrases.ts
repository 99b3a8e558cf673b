/**
 * What a skill is, said of a child to its family, after the name: "Wren … says the number words to
 * five." One line a skill, in the order of the map; own words.
 */
const LINES = `
say-5: says the number words to five
say-10: says the number words to ten
say-back-5: counts back from five
say-next-5: knows which number comes just after and just before, to five
say-20: says the number words to twenty
say-back-10: counts back from ten
say-on-10: goes on counting from any number to ten, without beginning at one
say-next-10: knows which number comes just after and just before, to ten
say-50: says the number words to fifty
say-on-20: goes on counting from any number to twenty
say-100: says the number words to a hundred
say-back-20: counts back from twenty
say-120: says the number words past a hundred, to a hundred and twenty
touch-5: counts five things, one word for each
give-3: hands over one, two or three things when asked
total-5: counts five things and knows that the last word is how many
touch-10: counts ten things, one word for each
give-5: hands over four or five things when asked, and stops there
layout-5: counts five things however they lie
total-10: counts ten things and knows that the last word is how many
same-5: knows that five things stay five when they are moved
give-10: hands over six to ten things when asked
place-5: finds the first, second, third, fourth and fifth in a row
layout-10: counts ten things however they lie, in a heap too
touch-20: counts twenty things, one word for each
same-10: knows that ten things stay ten when they are moved
give-20: hands over eleven to twenty things when asked
glance-3: sees one, two or three at a glance, without counting
glance-5: sees up to five at a glance, without counting
frame-5: lays one to five on a frame
frame-10: lays six to ten on a frame
glance-parts: sees two small groups and says how many they are together
glance-frame: sees six to ten on a frame at a glance
name-5: names the numerals to five
draw-lines: draws lines, circles and crosses
match-5: lays as many things as a numeral to five says
order-5: puts the numerals to five in order
name-10: names the numerals to ten
write-first: writes 0, 1 and 3
order-10: puts the numerals to ten in order
match-10: lays as many things as a numeral to ten says
write-slant: writes 2, 4 and 7
gap-10: finds the numeral that is missing in a row to ten
name-20: names the numerals to twenty
forms-10: knows a number as a numeral, as dots, on fingers and as a word
write-turns: writes 5, 6, 8 and 9
match-20: lays as many things as a numeral to twenty says
order-20: puts the numerals to twenty in order
gap-20: finds the numeral that is missing in a row to twenty
name-100: names numerals on the hundred chart
write-20: writes 10 to 20
more-clear: points to where there is plainly more
more-5: says where there are more, fewer or as many, to five
plus1-5: knows what one more makes, to five
more-10: says where there are more, fewer or as many, to ten
minus1-5: knows what one fewer makes, from five
greater-10: says which of two numerals is greater
plus1-10: knows what one more makes, to ten
minus1-10: knows what one fewer makes, from ten
differ-10: says how many more there are here than there
sign-10: puts the sign for less, equal or greater between two amounts
bond-2: knows the ways to make one and two
bond-3: knows the ways to make three, such as two and one
bond-4: knows the ways to make four, such as three and one
bond-5: knows the ways to make five, such as three and two
hide-5: says how many of five are hidden under a cloth
bond-6: knows the ways to make six
double-10: knows doubles, such as four and four
bond-10: knows the ways to make ten
three-parts-5: makes five of three parts
bond-7: knows the ways to make seven
bond-8: knows the ways to make eight
bond-9: knows the ways to make nine
hide-10: says how many of six to ten are hidden under a cloth
three-parts-10: makes ten of three parts
join-5: puts two groups together and counts them all, to five
away-5: takes some away and says how many are left, from five
join-10: puts two groups together and counts them all, to ten
story-5: solves a little told story with numbers to five
sentence-plus: lays or writes a sum such as 3 + 2 = 5
away-10: takes some away and says how many are left, from ten
on-10: adds by counting on from the first number
sentence-minus: lays or writes a difference such as 5 - 2 = 3
add-three-10: puts three amounts together, to ten
fluent-5: knows sums within five without counting
sentence-gap: finds what is missing in a sum such as 3 + ? = 5
story-10: solves a told story with numbers to ten
add-three-20: puts three amounts together, to twenty
halves: halves and quarters an apple or a strip of paper
partner-10: tells odd from even by giving everything a partner
share: shares things out fairly and says what is left
step-2: counts in twos
teens: sees a number such as fourteen as ten and four more
step-10: counts in tens
partner-20: tells odd from even to twenty
step-5: counts in fives
groups: counts equal groups of two, five or ten
tens-ones: builds a number from tens and ones
coins: counts coins of one, five and ten
step-down: counts down in twos, fives and tens
rows: sees rows and columns, and how many they make
split-more: takes a larger number apart in several ways
which-more: says which of two things is longer, heavier or taller
order-three: puts three or more things in order of size
holds-more: finds out by pouring which jar holds more
units-along: measures along a thing with equal units, without gaps
divide-weight: predicts whether a thing is lighter or heavier than another, and checks it
estimate-20: gives a sensible guess of how many there are, to twenty
estimate-100: gives a sensible guess of how many there are, to a hundred
alike: finds the one that is the same
sort-one: sorts things by one thing they share
shape-find: finds a shape among the things of the house
sort-other: sorts the same things another way, and says the rule
chart-build: lays things into a chart, column by column
chart-read: reads from a chart where there are most and fewest
chart-differ: reads from a chart how many more there are here than there
pattern-match: finds the row of colors that is the same
mirror-see: sees what a mirror does to a picture
pattern-copy: copies a row or a grid
mirror-spot: sees what is the same on both sides
pattern-next: goes on with a pattern
pattern-fix: finds what is wrong in a pattern
mirror-make: makes both sides the same
mirror-fold: cuts on a fold and says what will open
pattern-unit: says what repeats in a pattern, and makes a pattern of its own
bond-20: finds the ways to make twenty
double-20: knows doubles to ten and ten
join-20: puts two groups together and says how many there are, to twenty
away-20: takes some of up to twenty away and says how many are left
groups-more: says how many there are in equal groups of three, four, six and more
`;

const PHRASES: ReadonlyMap<string, string> = new Map(
  LINES.trim()
    .split('\n')
    .map((line) => {
      const at = line.indexOf(':');
      return [line.slice(0, at), line.slice(at + 2)] as const;
    }),
);

/** What a skill is, said after a child's name. @throws RangeError for a skill without a phrase */
export function phraseOf(skillId: string): string {
  const phrase = PHRASES.get(skillId);
  if (phrase === undefined) throw new RangeError(`no phrase for ${skillId}`);
  return phrase;
}
