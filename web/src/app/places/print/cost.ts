/** What pages come to, where the household has said what one costs. */
export const costWords = (pages: number, pageCost: number | undefined): string =>
  pageCost === undefined || pageCost === 0
    ? ''
    : `about ${(pages * pageCost).toFixed(2)} for paper and ink`;
