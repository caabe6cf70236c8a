// The Growth screen: tells the server which tree was touched or dragged and where a line was drawn, and shows what comes back.

import { inField, nudgeBy } from './bench.js';
import { grab } from './grab.js';

const HINTS = {
    tree: 'touch where a tree is to stand',
    line: 'touch the points of the line, Enter ends it: what it is for stands under “Set out a row”',
};
const SVG = 'http://www.w3.org/2000/svg';

export function growth(htmx) {
    let tool = 'pick';
    let points = [];
    let focus = null;

    const page = () => document.querySelector('.page.growth');
    const plan = () => document.getElementById('growth-plan');
    const send = (method, url, values = {}) =>
        htmx.ajax(method, url, { target: '#land', select: '#land', swap: 'outerHTML', values });
    const onPlan = (event) => {
        const at = plan().createSVGPoint();
        [at.x, at.y] = [event.clientX, event.clientY];
        const p = at.matrixTransform(plan().getScreenCTM().inverse());
        const { scale, left, top, depth, width } = Object.fromEntries(Object.entries(plan().dataset).map(([k, v]) => [k, Number(v)]));
        const [x, y] = [(p.x - left) / scale, depth - (p.y - top) / scale];
        return {
            x: Math.round(x * 10) / 10,
            y: Math.round(y * 10) / 10,
            px: p.x,
            py: p.y,
            inside: x >= 0 && y >= 0 && x <= width && y <= depth,
        };
    };
    const tree = (index) => `${page().dataset.trees}/${index}`;
    const show = (index) => send('GET', `${page().dataset.here}?pick=${page().dataset.stand}&tree=${index}`);

    const use = (name) => {
        tool = name;
        points = [];
        document
            .querySelectorAll('[data-growth-tool]')
            .forEach((b) => b.setAttribute('aria-pressed', String(b.dataset.growthTool === name)));
        const hint = document.getElementById('growth-hint');
        hint.textContent = HINTS[name] ?? hint.dataset.pick;
        page().dataset.using = name;
        ghost();
    };
    const ghost = (to = null) => {
        document.querySelector('.ghost')?.remove();
        const all = to ? [...points, to] : points;
        if (all.length > 0) {
            const line = document.createElementNS(SVG, 'polyline');
            line.setAttribute('class', 'ghost');
            line.setAttribute('points', all.map((p) => `${p.px},${p.py}`).join(' '));
            plan().append(line);
        }
    };
    // A line that was drawn goes with what is chosen in the form of a new row; elsewhere it is a fence.
    const finish = () => {
        const form = document.getElementById('new-row');
        const values = { kind: form?.elements.kind.value ?? 'fence', along: '', offset: '0' };
        points.forEach((p, k) => {
            values[`points[${k}][x]`] = p.x;
            values[`points[${k}][y]`] = p.y;
        });
        const url = page().dataset.here.replace(/growth$/, 'rows');
        use('pick');
        send('POST', url, values);
    };

    document.addEventListener('click', (event) => {
        const button = event.target.closest('[data-growth-tool]');
        if (button) {
            use(button.dataset.growthTool);
        } else if (plan()?.contains(event.target) && tool !== 'pick') {
            event.preventDefault();
            const p = onPlan(event);
            if (!p.inside) {
                return;
            }
            if (tool === 'tree') {
                use('pick');
                send('POST', page().dataset.trees, { x: `${p.x} mm`, y: `${p.y} mm` });
            } else {
                points.push(p);
                ghost();
            }
        }
    });
    document.addEventListener('pointermove', (event) => {
        if (points.length > 0 && plan()?.contains(event.target)) {
            ghost(onPlan(event));
        }
    });
    grab({
        selector: '[data-tree]',
        ready: () => tool === 'pick',
        touched: (grip) => {
            focus = grip.dataset.tree;
            show(focus);
        },
        dropped: (grip, dx, dy) => {
            focus = grip.dataset.tree;
            const mm = (px) => `${Math.round((px / plan().dataset.scale) * 10) / 10} mm`;
            send('POST', tree(focus), { _method: 'patch', dx: mm(dx), dy: mm(-dy) });
        },
    });
    document.addEventListener('keydown', (event) => {
        if (event.key === 'Escape') {
            use('pick');
            return;
        }
        if (inField(event.target) || event.ctrlKey || event.metaKey || event.altKey) {
            return;
        }
        if (event.key === 'Enter' && points.length > 1) {
            event.preventDefault();
            finish();
            return;
        }
        const grip = event.target.closest?.('[data-tree]');
        if (!grip) {
            return;
        }
        const by = nudgeBy(event.shiftKey);
        const ways = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, by], ArrowDown: [0, -by] };
        focus = grip.dataset.tree;
        if (ways[event.key]) {
            event.preventDefault();
            const [dx, dy] = ways[event.key];
            send('POST', tree(focus), { _method: 'patch', dx: `${dx} mm`, dy: `${dy} mm` });
        } else if (event.key === 'Delete') {
            event.preventDefault();
            send('POST', tree(focus), { _method: 'patch', out: 1 });
        } else if (event.key === 'Enter' || event.key === ' ') {
            event.preventDefault();
            show(focus);
        } else if (event.key === 'PageDown' || event.key === 'PageUp') {
            event.preventDefault();
            const all = [...document.querySelectorAll('[data-tree]')];
            all[(all.indexOf(grip) + (event.key === 'PageDown' ? 1 : all.length - 1)) % all.length].focus();
        }
    });
    document.addEventListener('htmx:afterSettle', () => {
        if (focus !== null) {
            document.querySelector(`[data-tree="${focus}"]`)?.focus();
            focus = null;
        }
    });
}
