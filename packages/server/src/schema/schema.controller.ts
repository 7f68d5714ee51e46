import { Controller, Get, Header } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { readFile } from 'node:fs/promises';

const FILE = new URL('../../../../docs/collection.schema.json', import.meta.url);

@ApiTags('schema')
@Controller('schema')
export class SchemaController {
  private read: Promise<string> | null = null;

  /** What a `.noria.json` file holds, as JSON Schema. */
  @Get()
  @Header('Content-Type', 'application/schema+json; charset=utf-8')
  schema(): Promise<string> {
    return (this.read ??= readFile(FILE, 'utf8'));
  }
}
