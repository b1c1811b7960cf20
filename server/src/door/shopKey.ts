import { createHash, randomInt, timingSafeEqual } from 'node:crypto';

/** Letters and digits that are not taken for one another, whatever the light. */
const LETTERS = 'ABCDEFGHJKMNPQRTUVWXY346789';
const GROUPS = 4;
const GROUP = 4;

const digest = (text: string): Buffer => createHash('sha256').update(text).digest();
/** As typed: in any case, with or without its dashes. */
const plain = (key: string): string => key.toUpperCase().replace(/[^A-Z0-9]/g, '');

/**
 * The key that lets a device in, once: 16 letters, 76 bits, drawn anew at each start. It is held in memory to be shown
 * in the terminal and to devices that are in; it is never stored. Devices that are in stay in.
 */
export class ShopKey {
  readonly text: string;
  private readonly hash: Buffer;

  constructor(draw: (below: number) => number = randomInt) {
    const group = () => Array.from({ length: GROUP }, () => LETTERS[draw(LETTERS.length)]).join('');
    this.text = Array.from({ length: GROUPS }, group).join('-');
    this.hash = digest(plain(this.text));
  }
  /** Takes the same time whatever was typed. */
  opens(typed: string): boolean {
    return timingSafeEqual(digest(plain(typed)), this.hash);
  }
}
