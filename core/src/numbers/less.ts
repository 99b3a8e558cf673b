/** An addend that is taken away; nothing taken away is 0, never the minus zero that no file can hold. */
export const less = (n: number): number => 0 - n;
