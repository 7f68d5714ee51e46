import { Controller, Header, Sse, type MessageEvent } from '@nestjs/common';
import { ApiParam, ApiTags } from '@nestjs/swagger';
import { filter, interval, map, merge, takeUntil, type Observable } from 'rxjs';
import { last } from 'rxjs';
import { Workspace } from '../workspaces/workspace.entity.js';
import { InWorkspace } from '../workspaces/workspace.pipe.js';
import { EventsService } from './events.service.js';

/** Proxies and browsers give up a connection on which nothing comes. */
const BEAT_MS = 20_000;

@ApiTags('events')
@ApiParam({ name: 'workspace', type: String })
@Controller('workspaces/:workspace/events')
export class EventsController {
  constructor(private readonly events: EventsService) {}

  /** Server-sent events: `changed` with the collection's id, its revision (null: deleted) and the change’s key. */
  @Sse()
  @Header('Cache-Control', 'no-store')
  stream(@InWorkspace() workspace: Workspace): Observable<MessageEvent> {
    const { changes } = this.events;
    const told = changes.pipe(
      filter(({ workspaceId }) => workspaceId === workspace.id),
      map(({ workspaceId: _, ...change }) => ({ type: 'changed', data: change })),
    );
    const beat = interval(BEAT_MS).pipe(map(() => ({ type: 'beat', data: '' })));
    const ended = changes.pipe(last(null, null));
    return merge(told, beat).pipe(takeUntil(ended));
  }
}
