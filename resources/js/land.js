// The Land screen: says to the server what was touched or dragged, and shows what comes back. It draws nothing but the
// line under a finger that is not laid yet, and decides nothing.

import { inField, lettersWork, nudgeBy } from './bench.js';
import { drags } from './drags.js';
import { look, sheet } from './sheet.js';

const HINTS = {
    run: 'touch where the track begins, then where it ends; on a track it leaves as a turnout',
    road: 'touch where the road begins, then where it ends',
    spot: 'touch the plan to set a spot height',
    ridge: 'touch the points of the ridge, Enter ends it',
    hollow: 'touch the points of the hollow, Enter ends it',
    water: 'touch the corners of the bank, Enter ends it',
    stream: 'touch the source, Enter: it follows the valley; or touch its points',
    pad: 'touch the corners of the level place, Enter ends it',
    rough: 'touch the corners of the rough ground, Enter ends it',
    zone: 'touch the corners of the zone, Enter ends it',
    cut: 'touch where to cut the land open',
    tape: 'touch two places; with shift more of them, Enter ends it',
};
const TOOL_KEYS = {
    p: 'pick',
    r: 'run',
    s: 'spot',
    e: 'ridge',
    h: 'hollow',
    w: 'water',
    m: 'stream',
    d: 'road',
    g: 'pad',
    f: 'rough',
    z: 'zone',
    c: 'cut',
    t: 'tape',
};

export function land(htmx) {
    if (!sheet()?.dataset.show) {
        return;
    }
    let tool = 'pick';
    let points = [];
    let refocus = null;
    let added = 0;

    const send = (method, url, values = {}) =>
        htmx.ajax(method, url, { target: '#land', swap: 'outerHTML', values: { ...look(), ...values } });
    const show = (values = {}) => send('GET', sheet().dataset.show, values);

    // mm on the board under a pointer, from the plan's own frame.
    const onPlan = (event) => {
        const plan = document.getElementById('plan');
        const at = plan.createSVGPoint();
        [at.x, at.y] = [event.clientX, event.clientY];
        const p = at.matrixTransform(plan.getScreenCTM().inverse());
        const { scale, left, top, depth, width } = Object.fromEntries(Object.entries(plan.dataset).map(([k, v]) => [k, Number(v)]));
        const [x, y] = [(p.x - left) / scale, depth - (p.y - top) / scale];
        return {
            x: Math.round(x * 10) / 10,
            y: Math.round(y * 10) / 10,
            px: p.x,
            py: p.y,
            inside: x >= -2 && y >= -2 && x <= width + 2 && y <= depth + 2,
        };
    };

    const use = (name) => {
        tool = name;
        points = [];
        mark();
    };
    const hintOf = () => document.getElementById('tool-hint');
    const mark = () => {
        sheet().dataset.using = tool;
        document.querySelectorAll('[data-tool]').forEach((b) => b.setAttribute('aria-pressed', String(b.dataset.tool === tool)));
        hintOf().textContent = HINTS[tool] ?? hintOf().dataset.pick;
        ghost();
    };

    const ghost = (to = null) => {
        points.length > 0 ? (document.body.dataset.busy = 'yes') : delete document.body.dataset.busy;
        document.querySelector('.ghost')?.remove();
        const all = to ? [...points, to] : points;
        if (all.length > 0) {
            const line = document.createElementNS('http://www.w3.org/2000/svg', 'polyline');
            line.setAttribute('class', 'ghost');
            line.setAttribute('points', all.map((p) => `${p.px},${p.py}`).join(' '));
            document.getElementById('plan').append(line);
        }
    };

    const place = (url, values, after = 'pick') => {
        use(after);
        return send('POST', url, values);
    };
    const flat = (list) =>
        Object.fromEntries(
            list.flatMap((p, k) => [
                [`points[${k}][x]`, p.x],
                [`points[${k}][y]`, p.y],
            ]),
        );

    const touch = (event) => {
        const p = onPlan(event);
        if (!p.inside) {
            return;
        }
        if (tool === 'spot') {
            place(sheet().dataset.features, { kind: 'spot', ...flat([p]) }).then(() => document.getElementById('pick-height')?.select());
        } else if (tool === 'cut') {
            show({ at_x: p.x, at_y: p.y });
        } else {
            points.push(p);
            ghost();
            if (tool === 'tape' && points.length === 2 && !event.shiftKey) {
                measure();
            }
            if ((tool === 'run' || tool === 'road') && points.length === 2) {
                place(sheet().dataset.runs, {
                    kind: tool === 'road' ? 'road' : 'track',
                    x1: points[0].x,
                    y1: points[0].y,
                    x2: p.x,
                    y2: p.y,
                    snap: event.altKey ? 0 : 1,
                });
            }
        }
    };
    const finish = () => {
        const least = { ridge: 2, hollow: 2, stream: 1, water: 3, pad: 3, rough: 3 }[tool];
        if (least !== undefined && points.length >= least) {
            place(sheet().dataset.features, { kind: tool, ...flat(points) });
        } else if (tool === 'zone' && points.length > 2) {
            place(sheet().dataset.zones, flat(points));
        } else if (tool === 'tape' && points.length > 1) {
            measure();
        }
    };

    // Words from the server, one question at a time.
    let asking = false;
    const say = (url, values) => {
        if (asking) {
            return;
        }
        asking = true;
        fetch(`${url}?${new URLSearchParams(values)}`)
            .then((answer) => (answer.ok ? answer.text() : ''))
            .then((words) => {
                const hint = document.getElementById('tool-hint');
                hint.textContent = words || (HINTS[tool] ?? hint.dataset.pick);
            })
            .finally(() => {
                asking = false;
            });
    };
    const measure = () => {
        const laid = flat(points);
        points = [];
        asking = false;
        say(sheet().dataset.tape, laid);
    };

    let [slid, sliding] = [0, false];
    const step = async (by) => {
        slid += by;
        while (!sliding && slid !== 0) {
            sliding = true;
            const at = Number(sheet().dataset.station) + slid;
            slid = 0;
            await show(sheet().dataset.cutOn === 'run' ? { st: at } : { cx: at });
            sliding = false;
        }
    };

    document.addEventListener('ridge:elsewhere', () => show());

    drags({
        onPlan,
        send,
        show,
        busy: () => tool !== 'pick' || document.body.classList.contains('guest'),
        done: (grip) => {
            refocus = grip;
        },
    });

    document.addEventListener('click', (event) => {
        const hit = (selector) => event.target.closest(selector);
        if (hit('[data-tool]')) {
            use(hit('[data-tool]').dataset.tool);
        } else if (hit('[data-tab]')) {
            show({ tab: hit('[data-tab]').dataset.tab });
        } else if (hit('[data-let-go]')) {
            show({ pick: '' });
        } else if (hit('[data-reload]')) {
            show();
        } else if (hit('[data-step]')) {
            step(Number(hit('[data-step]').dataset.step));
        } else if (hit('[data-turn]')) {
            turnIt(hit('[data-turn]'));
        } else if (hit('[data-add]')) {
            addRow(hit('[data-add]').dataset.add);
        } else if (hit('[data-drop-row]')) {
            hit('tr').remove();
        } else if (hit('#plan') && tool !== 'pick') {
            touch(event);
        }
    });
    document.addEventListener('change', (event) => {
        if (event.target.matches('[data-tint]')) {
            show({ tint: event.target.value });
        }
    });
    document.addEventListener('pointermove', (event) => {
        if (points.length > 0 && event.target.closest('#plan')) {
            ghost(onPlan(event));
        } else if (tool === 'pick' && event.buttons === 0 && event.pointerType === 'mouse' && event.target.closest('#plan')) {
            const p = onPlan(event);
            if (p.inside) {
                say(sheet().dataset.at, { x: p.x, y: p.y });
            }
        }
    });

    document.addEventListener('keydown', (event) => {
        if (event.key === 'Escape') {
            use('pick');
            return;
        }
        if (inField(event.target) || event.ctrlKey || event.metaKey || event.altKey) {
            return;
        }
        if (event.key === 'Enter' && points.length > 0 && !event.target.closest('[data-pick]')) {
            event.preventDefault();
            finish();
        } else if (event.key === '[' || event.key === '{') {
            step(-nudgeBy(!event.shiftKey));
        } else if (event.key === ']' || event.key === '}') {
            step(nudgeBy(!event.shiftKey));
        } else if (lettersWork() && TOOL_KEYS[event.key]) {
            use(TOOL_KEYS[event.key]);
        } else if ((event.key === 'Enter' || event.key === ' ') && event.target.closest('[data-pick]')) {
            event.preventDefault();
            const { pick } = event.target.closest('[data-pick]').dataset;
            refocus = { uid: pick };
            show({ pick });
        } else {
            nudge(event);
        }
    });

    // Arrows move the focused grip, plus and minus lift it. Plus needs shift on many keyboards, so tens have keys of their own.
    const nudge = (event) => {
        const grip = event.target.closest('[data-drag]');
        if (!grip) {
            return;
        }
        if (grip.dataset.drag === 'point' && (event.key === 'Delete' || event.key === 'Backspace')) {
            event.preventDefault();
            send('POST', sheet().dataset.grip, { drag: 'drop', uid: grip.dataset.uid, index: grip.dataset.index });
            return;
        }
        if (grip.dataset.drag === 'insert' && (event.key === 'Enter' || event.key === ' ')) {
            event.preventDefault();
            refocus = { drag: 'point', uid: grip.dataset.uid, index: String(Number(grip.dataset.index) + 1) };
            send('POST', sheet().dataset.grip, { drag: 'insert', uid: grip.dataset.uid, index: grip.dataset.index });
            return;
        }
        const [by, fine, coarse] = [nudgeBy(event.shiftKey), nudgeBy(false), nudgeBy(true)];
        const ways = {
            ArrowLeft: { dx: -by },
            ArrowRight: { dx: by },
            ArrowUp: { dy: by },
            ArrowDown: { dy: -by },
            '+': { dz: fine },
            '=': { dz: fine },
            '-': { dz: -fine },
            PageUp: { dz: coarse },
            PageDown: { dz: -coarse },
        };
        const way = ways[event.key];
        if (!way) {
            return;
        }
        event.preventDefault();
        const { drag, uid, index } = grip.dataset;
        if (drag === 'cut') {
            step((way.dx ?? way.dy ?? 0) * 1);
            refocus = { drag };
            return;
        }
        const lift = way.dz !== undefined && drag === 'point';
        steps({ drag: lift ? 'height' : drag, uid, index, pick: uid }, way, { drag, uid, index });
    };

    // Keys pressed while a step is under way wait for it: those on the same grip are added up, another grip's come after.
    const waiting = [];
    let stepping = false;
    const steps = async (grip, way, focus) => {
        const last = waiting.at(-1);
        if (last && JSON.stringify(last.grip) === JSON.stringify(grip)) {
            Object.entries(way).forEach(([axis, by]) => {
                last.way[axis] = (last.way[axis] ?? 0) + by;
            });
        } else {
            waiting.push({ grip, way: { ...way }, focus });
        }
        while (!stepping && waiting.length > 0) {
            stepping = true;
            const next = waiting.shift();
            refocus = next.focus;
            await send('POST', sheet().dataset.grip, { ...next.grip, ...next.way });
            stepping = false;
        }
    };

    // The plan gives way to the relief that turns, and comes back.
    const turnIt = async (button) => {
        const holder = document.getElementById('turn');
        const on = button.getAttribute('aria-pressed') !== 'true';
        button.setAttribute('aria-pressed', String(on));
        holder.hidden = !on;
        document.getElementById('plan').closest('.plan-hold').classList.toggle('turned', on);
        if (on && !holder.dataset.begun) {
            holder.dataset.begun = 'true';
            const { turn } = await import('./relief.js');
            await turn(holder, sheet().dataset.mesh);
        }
        on && holder.querySelector('canvas').focus();
    };

    const addRow = (kind) => {
        const rows = document.querySelector('[data-rows]');
        added += 1;
        const row = document.querySelector(`template[data-piece="${kind}"]`).innerHTML.replaceAll('__', String(1000 + added));
        rows.insertAdjacentHTML('beforeend', row);
        rows.lastElementChild.querySelector('input:not([type="hidden"])').select();
    };

    document.addEventListener('htmx:afterSettle', (event) => {
        if (event.detail.target.id === 'faults' || event.detail.elt?.id === 'faults') {
            faults();
            return;
        }
        mark();
        const state = look();
        const query = new URLSearchParams(Object.entries(state).filter(([, v]) => v !== ''));
        history.replaceState(null, '', `${location.pathname}?${query}`);
        if (refocus) {
            const by = Object.entries(refocus)
                .filter(([, v]) => v !== undefined)
                .map(([k, v]) => `[data-${k}="${v}"]`)
                .join('');
            document.querySelector(`#plan ${by}, #profile ${by}`)?.focus();
            refocus = null;
        }
    });

    // Puts each refusal beside its field; what has no field stays at the head of the sheet.
    const faults = () => {
        document.querySelectorAll('.inspector .fault').forEach((f) => f.remove());
        document.querySelectorAll('.inspector [aria-invalid]').forEach((f) => f.removeAttribute('aria-invalid'));
        document.querySelectorAll('#faults [data-for]').forEach((line, k) => {
            const field = document.querySelector(`.inspector [data-at="${line.dataset.for}"]`);
            if (field) {
                line.id = `fault-${k}`;
                field.setAttribute('aria-invalid', 'true');
                field.setAttribute('aria-describedby', line.id);
            }
        });
        document.querySelector('.inspector [aria-invalid]')?.focus();
    };
    mark();
}
