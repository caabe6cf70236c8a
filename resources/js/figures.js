// A figure that is hovered, focused or asked with "i" shows where it comes from.

import { inField } from './bench.js';

export function figures() {
    let note = null;

    const hide = () => {
        note?.remove();
        note = null;
    };
    const show = (figure) => {
        hide();
        note = document.createElement('div');
        note.className = 'origin-note';
        note.textContent = figure.dataset.origin;
        document.body.append(note);
        const at = figure.getBoundingClientRect();
        const left = Math.min(Math.max(8, at.left), innerWidth - note.offsetWidth - 8);
        const below = at.bottom + 6 + note.offsetHeight < innerHeight;
        note.style.left = `${left}px`;
        note.style.top = `${below ? at.bottom + 6 : at.top - note.offsetHeight - 6}px`;
    };

    document.addEventListener('pointerover', (event) => {
        const figure = event.target.closest('.fig');
        figure ? show(figure) : hide();
    });
    document.addEventListener('focusin', (event) => (event.target.matches('.fig') ? show(event.target) : hide()));
    document.addEventListener('keydown', (event) => {
        if (event.key === 'Escape') {
            hide();
        } else if (event.key === 'i' && !inField(event.target)) {
            document.querySelector('.facts .fig')?.focus();
        }
    });
}
