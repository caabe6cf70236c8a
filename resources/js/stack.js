// What land is cut from, to turn: layers of foam lifted off one another, or ribs as they stand. The server tells the pieces.

import {
    Color,
    EdgesGeometry,
    ExtrudeGeometry,
    Group,
    LineBasicMaterial,
    LineSegments,
    Mesh,
    MeshLambertMaterial,
    Path,
    Shape,
} from 'three';
import { turn } from './relief.js';

const css = (name) => new Color(getComputedStyle(document.documentElement).getPropertyValue(name).trim());
const ink = () => new LineBasicMaterial({ color: css('--ink-2') });

function solid(rings, thickness, colour) {
    const shape = new Shape(rings[0].map(([x, y]) => ({ x, y })));
    shape.holes = rings.slice(1).map((ring) => new Path(ring.map(([x, y]) => ({ x, y }))));
    const body = new ExtrudeGeometry(shape, { depth: thickness, bevelEnabled: false });
    const group = new Group();
    group.add(new Mesh(body, new MeshLambertMaterial({ color: colour })), new LineSegments(new EdgesGeometry(body, 40), ink()));
    return group;
}

function layers(cut) {
    return cut.layers.map(({ bottom, thickness, pieces }, k) => {
        const layer = new Group();
        pieces.forEach((rings) => layer.add(solid(rings, thickness, css(k % 2 ? '--chalk-2' : '--chalk-1'))));
        layer.rotation.x = -Math.PI / 2;
        layer.userData = { bottom, k };
        return layer;
    });
}

function ribs(cut) {
    return cut.ribs.map(({ x, thickness, pieces }) => {
        const rib = new Group();
        pieces.forEach((rings) => rib.add(solid(rings, thickness, css('--chalk-1'))));
        // Along the depth is away from the front.
        rib.rotation.y = Math.PI / 2;
        rib.position.set(x - thickness / 2, cut.base, 0);
        return rib;
    });
}

function board(cut) {
    const plate = solid(
        [
            [
                [0, 0],
                [cut.width, 0],
                [cut.width, cut.depth],
                [0, cut.depth],
            ],
        ],
        9,
        css('--hyp-3'),
    );
    plate.rotation.x = -Math.PI / 2;
    plate.position.y = cut.base - 9;
    return plate;
}

export async function stack(holder) {
    const slider = holder.parentElement.querySelector('[data-apart]');
    let lifted = [];
    let tall = 0;
    const lift = () => {
        const gap = (Number(slider?.value ?? 0) / 100) * (tall / Math.max(1, lifted.length));
        lifted.forEach((layer) => {
            layer.position.y = layer.userData.bottom + gap * (layer.userData.k + 1);
        });
    };
    const draw = await turn(holder, holder.dataset.solids, (cut) => {
        lifted = layers(cut);
        tall = 0.5 * cut.depth;
        lift();
        return [board(cut), ...ribs(cut), ...lifted];
    });
    slider?.addEventListener('input', () => {
        lift();
        draw?.();
    });
}
