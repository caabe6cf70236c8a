import Alpine from '@alpinejs/csp';
import htmx from 'htmx.org';
import { bench } from './bench.js';
import { countdown } from './countdown.js';
import { figures } from './figures.js';
import { land } from './land.js';

window.htmx = htmx;

document.addEventListener('htmx:configRequest', (event) => {
    event.detail.headers['X-CSRF-TOKEN'] = document.querySelector('meta[name="csrf-token"]').content;
});

Alpine.data('bench', bench);
Alpine.start();
figures();
const stacks = document.querySelector('[data-solids]');
if (stacks) {
    import('./stack.js').then(({ stack }) => stack(stacks));
}
const due = document.querySelector('[data-countdowns]');
if (due) {
    countdown(due);
}
land(htmx);
