export { writePage } from '@noria/core';
