import { lists } from '../api/lists';
import { lateMiddleware, reducer } from './state';

// Compose shows nothing of it at first, so it comes into the store with the first view that lists.
reducer.inject(lists);
lateMiddleware.addMiddleware(lists.middleware);
