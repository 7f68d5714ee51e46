#!/usr/bin/env node
try {
  await import('../dist/main.js');
} catch (error) {
  if (error?.code !== 'ERR_MODULE_NOT_FOUND') throw error;
  console.error('Noria is not built yet. Run “npm start” or “npm run build” once.');
  process.exitCode = 1;
}
