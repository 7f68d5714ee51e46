import 'reflect-metadata';
import { createApp } from './createApp.js';
import { migrate } from './database/database.js';
import { DemoService } from './demo/demo.service.js';
import { readConfig } from './config/config.js';

const config = readConfig();
const ran = await migrate(config.databaseUrl);
console.log(`migrations: ${ran.length > 0 ? ran.join(', ') : 'up to date'}`);

const app = await createApp(config);
if (config.demoFolder) {
  const loaded = await app.get(DemoService).loadIfEmpty(config.demoFolder);
  if (loaded > 0) console.log(`demo: ${loaded} collections loaded`);
}
await app.listen(config.port, config.host);
console.log(`listening: ${await app.getUrl()}`);
