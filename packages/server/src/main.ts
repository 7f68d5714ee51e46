import 'reflect-metadata';
import { createApp } from './createApp.js';
import { migrate, settingUp } from './database/database.js';
import { DemoService } from './demo/demo.service.js';
import { readConfig } from './config/config.js';

const config = readConfig();
const app = await settingUp(config.databaseUrl, async () => {
  const ran = await migrate(config.databaseUrl);
  console.log(`migrations: ${ran.length > 0 ? ran.join(', ') : 'up to date'}`);
  const created = await createApp(config);
  if (config.demoFolder) {
    await created.init();
    const loaded = await created.get(DemoService).loadIfEmpty(config.demoFolder);
    if (loaded > 0) console.log(`demo: ${loaded} collections loaded`);
  }
  return created;
});
await app.listen(config.port, config.host);
console.log(`listening: ${await app.getUrl()}`);
