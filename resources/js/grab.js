// Takes hold of things on a drawing: they follow the pointer, and where they were let go is told. Nothing is saved while one is held;
// Escape returns it.

const LEAST_PX = 3;

export function grab({ selector, ready, touched, dropped }) {
    let held = null;

    const at = (event, svg) => new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
    const letGo = () => {
        held?.grip.removeAttribute('transform');
        held?.grip.classList.remove('held');
        held = null;
    };
    document.addEventListener('pointerdown', (event) => {
        const grip = event.target.closest?.(selector);
        if (grip && ready() && event.button === 0 && !document.body.classList.contains('guest')) {
            const svg = grip.ownerSVGElement;
            held = { grip, svg, from: at(event, svg), moved: false };
            grip.setPointerCapture(event.pointerId);
        }
    });
    document.addEventListener('pointermove', (event) => {
        if (!held) {
            return;
        }
        const p = at(event, held.svg);
        const [dx, dy] = [p.x - held.from.x, p.y - held.from.y];
        held.moved = held.moved || Math.hypot(dx, dy) > LEAST_PX;
        if (held.moved) {
            held.grip.classList.add('held');
            held.grip.setAttribute('transform', `translate(${dx} ${dy})`);
        }
    });
    document.addEventListener('pointerup', (event) => {
        if (!held) {
            return;
        }
        const { grip, svg, from, moved } = held;
        const p = at(event, svg);
        held = null;
        if (moved) {
            dropped(grip, p.x - from.x, p.y - from.y, event);
        } else {
            touched(grip);
        }
    });
    document.addEventListener('pointercancel', letGo);
    document.addEventListener('keydown', (event) => event.key === 'Escape' && letGo());
    // What was refused goes back to where it stood.
    document.addEventListener('htmx:afterSettle', (event) => {
        if (event.detail.target.id === 'faults') {
            document.querySelectorAll(`${selector}[transform]`).forEach((grip) => grip.removeAttribute('transform'));
        }
    });
}
