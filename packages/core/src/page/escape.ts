const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
};

/** Text made safe for HTML content and double-quoted attributes. */
export const escapeHtml = (text: string) => text.replace(/[&<>"]/g, (sign) => ENTITIES[sign] as string);
