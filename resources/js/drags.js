// Dragging grips. While one is held, at most one preview is under way and nothing is saved; letting go saves, Escape
// returns. Conversions use the drawing as it stood when the drag began, so that a drawing which rescales does not run
// away under the pointer.

import { sheet } from './sheet.js';

export function drags({ onPlan, send, show, busy, done }) {
    let held = null;
    let under = false;
    let waiting = null;

    const frame = () => {
        const profile = document.getElementById('profile');
        return (
            profile && {
                inverse: profile.getScreenCTM().inverse(),
                ...Object.fromEntries(['left', 'along', 'from', 'up', 'low', 'bottom'].map((k) => [k, Number(profile.dataset[k])])),
            }
        );
    };
    const onProfile = (event) => {
        const f = held.profile;
        const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(f.inverse);
        return { station: Math.round(f.from + (p.x - f.left) / f.along), height: Math.round(f.low + (f.bottom - p.y) / f.up) };
    };

    // What the server is told of where the grip is now.
    const values = (event) => {
        const { drag, uid, index } = held.grip;
        const base = { drag, uid, index, pick: uid };
        if (held.profiled) {
            return { ...base, ...onProfile(event) };
        }
        const p = onPlan(event);
        if (event.altKey) {
            base.snap = 0;
        }
        return drag === 'height' ? { ...base, dz: Math.round(p.y - held.from.y) } : { ...base, x: p.x, y: p.y };
    };

    const ask = (event) => {
        if (held.grip.drag === 'cut') {
            const p = onPlan(event);
            return show({ at_x: p.x, at_y: p.y });
        }
        if (held.grip.drag === 'station') {
            return show({ st: onProfile(event).station });
        }
        return send('POST', sheet().dataset.preview, values(event));
    };

    const preview = async (event) => {
        if (under) {
            waiting = event;
            return;
        }
        under = true;
        await ask(event);
        under = false;
        if (held && waiting) {
            const next = waiting;
            waiting = null;
            preview(next);
        }
    };
    const idle = async () => {
        while (under) {
            await new Promise((resolve) => setTimeout(resolve, 10));
        }
    };

    document.addEventListener('pointerdown', (event) => {
        const grip = event.target.closest('[data-drag]');
        if (!grip || busy() || event.button !== 0) {
            return;
        }
        event.preventDefault();
        grip.focus({ preventScroll: true });
        document.body.dataset.busy = 'yes';
        held = {
            grip: { ...grip.dataset },
            profiled: grip.closest('#profile') !== null,
            profile: frame(),
            from: onPlan(event),
            at: [event.clientX, event.clientY],
            moved: false,
        };
    });
    document.addEventListener('pointermove', (event) => {
        if (!held) {
            return;
        }
        held.moved ||= Math.hypot(event.clientX - held.at[0], event.clientY - held.at[1]) > 3;
        if (held.moved) {
            preview(event);
        }
    });
    document.addEventListener('pointerup', async (event) => {
        if (!held) {
            const picked = event.target.closest('[data-pick]');
            if (picked && !busy()) {
                show({ pick: picked.dataset.pick });
            }
            return;
        }
        delete document.body.dataset.busy;
        const { grip, moved } = held;
        const last = moved && grip.drag !== 'cut' && grip.drag !== 'station' ? values(event) : null;
        const cut = moved && last === null ? ask(event) : null;
        held = null;
        waiting = null;
        await cut;
        await idle();
        if (last) {
            done({ drag: grip.drag, uid: grip.uid, index: grip.index });
            send('POST', sheet().dataset.grip, last);
        } else if (!moved && grip.pick) {
            show({ pick: grip.pick });
        }
    });
    const letGo = async () => {
        if (held) {
            delete document.body.dataset.busy;
            const { moved } = held;
            held = null;
            waiting = null;
            await idle();
            moved && show();
        }
    };
    document.addEventListener('pointercancel', letGo);
    document.addEventListener('keydown', (event) => event.key === 'Escape' && letGo());
}
