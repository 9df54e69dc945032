// The layout library's own worker script: it answers the messages of its own interface.
import 'elkjs/lib/elk-worker.min.js';
