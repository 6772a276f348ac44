const ESCAPED: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** A text as it stands in a page, between tags or as an attribute in double quotes. */
export const htmlText = (text: string): string => text.replace(/[&<>"]/g, (sign) => ESCAPED[sign] ?? sign);
