/** What writes pages and other forms, by itself: it is fetched when it is wanted. */
export { writeForm } from '@noria/core';
