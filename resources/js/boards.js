// The boards on the Layout sheet: tells the server which was touched, moved or turned, and shows what comes back.

import { inField, nudgeBy } from './bench.js';
import { grab } from './grab.js';

const TURN = 15;

export function boards(htmx) {
    let focus = null;

    const plan = () => document.getElementById('board-plan');
    const sheet = () => document.querySelector('[data-sections]');
    const send = (method, url, values = {}) =>
        htmx.ajax(method, url, { target: '#land', select: '#land', swap: 'outerHTML', values });
    const place = (board, values) => {
        focus = board.dataset.board;
        send('POST', `${sheet().dataset.sections}/${focus}/place`, { _method: 'patch', ...values });
    };
    const show = (board) => {
        focus = board.dataset.board;
        send('GET', `${sheet().dataset.here}?pick=${focus}`);
    };

    grab({
        selector: '#board-plan [data-board]',
        ready: () => true,
        touched: show,
        // The drawing is measured, the layout's y goes upward; where the board comes to lie is worked out by the server.
        dropped: (board, dx, dy) => {
            const { scale } = plan().dataset;
            place(board, { dx: dx / scale, dy: -dy / scale });
        },
    });
    document.addEventListener('keydown', (event) => {
        const board = event.target.closest?.('#board-plan [data-board]');
        if (!board || inField(event.target) || event.ctrlKey || event.metaKey || event.altKey) {
            return;
        }
        // Steps are meant as they are: only what is dragged goes to an edge.
        const by = nudgeBy(!event.shiftKey);
        const ways = {
            ArrowLeft: { dx: -by, snap: 0 },
            ArrowRight: { dx: by, snap: 0 },
            ArrowUp: { dy: by, snap: 0 },
            ArrowDown: { dy: -by, snap: 0 },
            '[': { turn: TURN },
            ']': { turn: -TURN },
        };
        if (ways[event.key]) {
            event.preventDefault();
            event.stopPropagation();
            place(board, ways[event.key]);
        } else if (event.key === 'Enter' || event.key === ' ') {
            event.preventDefault();
            show(board);
        }
    });
    document.addEventListener('htmx:afterSettle', () => {
        if (focus !== null) {
            document.querySelector(`[data-board="${focus}"]`)?.focus({ preventScroll: true });
            focus = null;
        }
    });
}
