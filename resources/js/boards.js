// The boards on the Layout sheet: tells the server which was touched, moved, turned or carried into another room, and shows what
// comes back.

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
    // Which edges are looked at then is said by the drawing.
    const look = (edge) => {
        const edges = edge.dataset.edges.split(' ');
        send('POST', sheet().dataset.sheet, { _method: 'patch', 'viewing_edges[]': ['', ...edges], pick: edge.dataset.of });
    };
    document.addEventListener('click', (event) => {
        const edge = event.target.closest?.('[data-edges]');
        if (edge) {
            look(edge);
        }
    });
    document.addEventListener('keydown', (event) => {
        if (event.target.matches?.('[data-edges]') && (event.key === 'Enter' || event.key === ' ')) {
            event.preventDefault();
            look(event.target);
        }
    });
    const carry = (board, room) => {
        focus = null;
        send('POST', `${sheet().dataset.sections}/${board.dataset.carry}/room`, { _method: 'patch', room });
    };
    grab({
        selector: '[data-carry]',
        ready: () => true,
        touched: (board) => board.focus(),
        dropped: (board, dx, dy, event) => {
            const under = document.elementsFromPoint(event.clientX, event.clientY);
            const bay = under.find((e) => e.matches('[data-room]'));
            if (bay && bay !== board.closest('[data-room]')) {
                carry(board, bay.dataset.room);
            } else {
                board.removeAttribute('transform');
                board.classList.remove('held');
            }
        },
    });
    document.addEventListener('keydown', (event) => {
        const board = event.target.closest?.('[data-carry]');
        const room = { ArrowLeft: board?.dataset.left, ArrowRight: board?.dataset.right }[event.key];
        if (room) {
            event.preventDefault();
            carry(board, room);
        }
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
