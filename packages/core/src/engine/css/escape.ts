import { readAddress } from './address.js';

const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
};

/** Text made safe for HTML content and double-quoted attributes. */
export const escapeHtml = (text: string) => text.replace(/[&<>"]/g, (sign) => ENTITIES[sign] as string);

/** Where a link leads. An address that no link may have leads nowhere, however it came into the collection. */
export const hrefOf = (address: string) => readAddress(address) || '#';
