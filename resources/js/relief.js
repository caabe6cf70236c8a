// The relief that turns: draws the server's grid, in the colours of the sheet. Where there is no WebGL, the shaded plan stands
// in its place with a word about it.

import Delaunator from 'delaunator';
import {
    Box3,
    BoxGeometry,
    BufferAttribute,
    Color,
    ConeGeometry,
    CylinderGeometry,
    DirectionalLight,
    HemisphereLight,
    BufferGeometry,
    IcosahedronGeometry,
    InstancedMesh,
    Line,
    LineBasicMaterial,
    Mesh,
    MeshLambertMaterial,
    Object3D,
    PerspectiveCamera,
    Scene,
    Shape,
    ShapeGeometry,
    Sphere,
    Vector3,
    WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { toCreasedNormals } from 'three/addons/utils/BufferGeometryUtils.js';

const css = (name) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();
const TURN = Math.PI / 24;
const CREASE = Math.PI / 10;

const floats = (text) => new Float32Array(Uint8Array.from(atob(text), (c) => c.charCodeAt(0)).buffer);

// Triangles between the places the server tells of, as it spaces them along the lines where land breaks.
function landMesh(mesh) {
    const points = floats(mesh.points);
    const count = points.length / 3;
    const z = Array.from({ length: count }, (_, k) => points[3 * k + 2]);
    const low = z.reduce((a, b) => Math.min(a, b));
    const range = Math.max(20, z.reduce((a, b) => Math.max(a, b)) - low);
    const tints = Array.from({ length: 10 }, (_, k) => new Color(css(`--hyp-${k + 1}`)));
    const worn = mesh.colours && Uint8Array.from(atob(mesh.colours), (c) => c.charCodeAt(0));
    const shade = new Color();
    const places = new Float32Array(3 * count);
    const colours = new Float32Array(3 * count);
    for (let k = 0; k < count; k += 1) {
        places.set([points[3 * k], z[k], -points[3 * k + 1]], 3 * k);
        const tint = worn
            ? shade.setRGB(worn[3 * k] / 255, worn[3 * k + 1] / 255, worn[3 * k + 2] / 255, 'srgb')
            : tints[Math.min(9, Math.round((9 * (z[k] - low)) / range))];
        tint.toArray(colours, 3 * k);
    }
    const { triangles } = new Delaunator(Float64Array.from({ length: 2 * count }, (_, k) => points[3 * (k >> 1) + (k & 1)]));
    const land = new BufferGeometry();
    land.setAttribute('position', new BufferAttribute(places, 3));
    land.setAttribute('color', new BufferAttribute(colours, 3));
    land.setIndex(new BufferAttribute(triangles.reverse(), 1));
    // Light does not run round a sharp break.
    return new Mesh(toCreasedNormals(land, CREASE), new MeshLambertMaterial({ vertexColors: true }));
}

function skirt(mesh) {
    const points = floats(mesh.points);
    const floor = mesh.base - 18;
    const at = (k) => [points[3 * k], points[3 * k + 2], -points[3 * k + 1]];
    const corners = [];
    for (let k = 0; k < mesh.edge; k += 1) {
        const [a, b] = [at(k), at((k + 1) % mesh.edge)];
        corners.push(...a, a[0], floor, a[2], ...b, ...b, a[0], floor, a[2], b[0], floor, b[2]);
    }
    const sides = new BufferGeometry();
    sides.setAttribute('position', new BufferAttribute(new Float32Array(corners), 3));
    sides.computeVertexNormals();
    return new Mesh(sides, new MeshLambertMaterial({ color: css('--chalk-2'), side: 2 }));
}

function water(pond) {
    const surface = new ShapeGeometry(new Shape(pond.ring.map(([x, y]) => ({ x, y }))));
    surface.rotateX(-Math.PI / 2);
    surface.translate(0, pond.level, 0);
    return new Mesh(surface, new MeshLambertMaterial({ color: css('--tarn'), transparent: true, opacity: 0.75 }));
}

function strip({ kind, edges }) {
    const corners = edges.slice(1).flatMap((b, k) => {
        const a = edges[k];
        const at = (x, y, z) => [x, z + 0.6, -y];
        return [
            ...at(a[0], a[1], a[4]),
            ...at(a[2], a[3], a[4]),
            ...at(b[0], b[1], b[4]),
            ...at(b[0], b[1], b[4]),
            ...at(a[2], a[3], a[4]),
            ...at(b[2], b[3], b[4]),
        ];
    });
    const shape = new BufferGeometry();
    shape.setAttribute('position', new BufferAttribute(new Float32Array(corners), 3));
    shape.computeVertexNormals();
    const colour = { stream: '--tarn', road: '--chalk-1' }[kind] ?? '--ink-2';
    return new Mesh(shape, new MeshLambertMaterial({ color: css(colour), side: 2 }));
}

// Crowns on stems, one body a form however many there are.
const CROWNS = {
    round: () => new IcosahedronGeometry(0.5, 1),
    spread: () => new IcosahedronGeometry(0.5, 1),
    column: () => new IcosahedronGeometry(0.5, 1),
    bush: () => new IcosahedronGeometry(0.5, 1),
    cone: () => new ConeGeometry(0.5, 1, 7),
    bare: () => new ConeGeometry(0.12, 1, 5),
};
const CROWN_FROM = { round: 0.25, spread: 0.35, column: 0.15, bush: 0, cone: 0.1, bare: 0 };

function many(geometry, colour, count, place) {
    const body = new InstancedMesh(geometry, new MeshLambertMaterial({ color: colour, flatShading: true }), count);
    const at = new Object3D();
    for (let k = 0; k < count; k += 1) {
        place(at, k);
        at.updateMatrix();
        body.setMatrixAt(k, at.matrix);
    }
    body.frustumCulled = false;
    return body;
}

function trees(form, packed) {
    const all = floats(packed);
    const count = all.length / 5;
    const from = CROWN_FROM[form];
    const crowns = many(CROWNS[form](), css(form === 'bare' ? '--soil' : '--grass'), count, (at, k) => {
        const [x, y, z, high, wide] = all.subarray(5 * k, 5 * k + 5);
        at.position.set(x, z + high * (from + (1 - from) / 2), -y);
        at.scale.set(wide, high * (1 - from), wide);
        at.rotation.y = x + y;
    });
    const stems = many(new CylinderGeometry(0.5, 0.6, 1, 5), css('--soil'), count, (at, k) => {
        const [x, y, z, high] = all.subarray(5 * k, 5 * k + 5);
        const thick = Math.max(1, high / 35);
        at.position.set(x, z + (high * (from + 0.3)) / 2, -y);
        at.scale.set(thick, high * (from + 0.3), thick);
    });
    return [crowns, stems];
}

function posts(packed) {
    const all = floats(packed);
    return many(new CylinderGeometry(0.5, 0.5, 1, 5), css('--soil'), all.length / 5, (at, k) => {
        const [x, y, z, high, wide] = all.subarray(5 * k, 5 * k + 5);
        at.position.set(x, z + high / 2, -y);
        at.scale.set(wide, high, wide);
    });
}

function wire(packed) {
    const all = floats(packed);
    const points = Array.from({ length: all.length / 3 }, (_, k) => new Vector3(all[3 * k], all[3 * k + 2], -all[3 * k + 1]));
    return new Line(new BufferGeometry().setFromPoints(points), new LineBasicMaterial({ color: css('--ink-2') }));
}

// A hedge or a wall: boxes from place to place.
function band({ kind, wide, high, line }) {
    const all = floats(line);
    const colour = { hedge: '--moss', 'dry-wall': '--ballast-2', sleepers: '--soil' }[kind] ?? '--stone';
    return many(new BoxGeometry(1, 1, 1), css(colour), all.length / 3 - 1, (at, k) => {
        const [x, y, z, x2, y2, z2] = all.subarray(3 * k, 3 * k + 6);
        at.position.set((x + x2) / 2, (z + z2) / 2 + high / 2, -(y + y2) / 2);
        at.rotation.y = Math.atan2(y2 - y, x2 - x);
        at.scale.set(Math.hypot(x2 - x, y2 - y) * 1.05, high, wide);
    });
}

const landObjects = (mesh) => [
    landMesh(mesh),
    skirt(mesh),
    ...mesh.waters.map(water),
    ...mesh.strips.map(strip),
    ...Object.entries(mesh.trees).flatMap(([form, packed]) => trees(form, packed)),
    posts(mesh.posts),
    ...mesh.wires.map(wire),
    ...mesh.bands.map(band),
];

// What the land wears is chosen beside it, and it is looked at from where people stand.
function wearing(holder, url, view) {
    const wears = holder.querySelector('[data-wears]');
    const wait = holder.querySelector('[data-wait]');
    const choices = (moments, chosen) =>
        wears.replaceChildren(...Object.entries(moments).map(([key, word]) => new Option(word, key, key === chosen, key === chosen)));
    choices(view.mesh.moments, 'heights');
    let things = view.things;
    wears.addEventListener('change', async () => {
        delete holder.dataset.worn;
        wait.hidden = false;
        const mesh = await (await fetch(`${url}?wears=${wears.value}`, { headers: { Accept: 'application/json' } })).json();
        wait.hidden = true;
        view.scene.remove(...things);
        things = view.objects(mesh);
        view.scene.add(...things);
        view.draw();
        holder.dataset.worn = wears.value;
        // Sessions are known once the plan was asked for.
        if (Object.keys(mesh.moments).length > wears.options.length) {
            choices(mesh.moments, wears.value);
        }
    });
    let eye = -1;
    const from = holder.querySelector('[data-eye]');
    from.disabled = view.mesh.eyes.length === 0;
    from.addEventListener('click', () => {
        eye = (eye + 1) % view.mesh.eyes.length;
        const [x, y, z] = view.mesh.eyes[eye];
        const middle = view.orbit.target.clone();
        view.camera.position.set(x, z, -y);
        view.camera.fov = 48;
        // Straight ahead into the scene, not at its middle.
        view.orbit.target.set(x + (middle.x - x) * 0.75, middle.y, -y + (middle.z + y) * 0.6);
        view.orbit.update();
        view.draw();
        holder.dataset.eye = String(eye);
    });
}

// Draws what the server tells of in the holder's canvas; `objects` makes the things to draw. Answers how to draw again, or
// nothing where there is no WebGL.
export async function turn(holder, url, objects = landObjects) {
    const canvas = holder.querySelector('canvas');
    let renderer;
    try {
        renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
    } catch {
        holder.dataset.plain = 'true';
        return null;
    }
    const mesh = await (await fetch(url, { headers: { Accept: 'application/json' } })).json();
    const scene = new Scene();
    const things = objects(mesh);
    scene.add(...things, new HemisphereLight(0xffffff, 0x8a8a78, 1.25));
    const sun = new DirectionalLight(0xffffff, 1.9);
    sun.position.set(-900, 700, -600);
    scene.add(sun);
    const camera = new PerspectiveCamera(30, 2, 10, 24000);
    // Far enough that all of it is seen, whichever way the canvas is longer.
    const ball = new Box3().setFromObject(scene).getBoundingSphere(new Sphere());
    const wide = canvas.clientWidth / Math.max(1, canvas.clientHeight);
    const away = (Math.max(1.02 / wide, 0.62) * ball.radius) / Math.tan(Math.PI / 12);
    camera.position.copy(ball.center).addScaledVector(new Vector3(0, 0.58, 0.81), away);
    const orbit = new OrbitControls(camera, canvas);
    orbit.target.copy(ball.center);
    orbit.maxPolarAngle = Math.PI / 2 - 0.02;
    orbit.minDistance = 120;
    orbit.maxDistance = 3 * away;
    const draw = () => {
        const { clientWidth, clientHeight } = canvas;
        renderer.setPixelRatio(window.devicePixelRatio);
        renderer.setSize(clientWidth, clientHeight, false);
        camera.aspect = clientWidth / Math.max(1, clientHeight);
        camera.updateProjectionMatrix();
        renderer.render(scene, camera);
        holder.dataset.drawn = 'true';
    };
    orbit.addEventListener('change', draw);
    orbit.update();
    draw();
    holder.querySelector('[data-wears]') && wearing(holder, url, { scene, things, objects, mesh, camera, orbit, draw });
    // Arrows turn, plus and minus come nearer and go away.
    canvas.addEventListener('keydown', (event) => {
        const from = camera.position.clone().sub(orbit.target);
        const ways = {
            ArrowLeft: [-TURN, 0, 1],
            ArrowRight: [TURN, 0, 1],
            ArrowUp: [0, -TURN, 1],
            ArrowDown: [0, TURN, 1],
            '+': [0, 0, 0.9],
            '=': [0, 0, 0.9],
            '-': [0, 0, 1.1],
        };
        const way = ways[event.key];
        if (!way) {
            return;
        }
        event.preventDefault();
        const distance = from.length() * way[2];
        const around = Math.atan2(from.x, from.z) + way[0];
        const down = Math.min(orbit.maxPolarAngle, Math.max(0.05, Math.acos(from.y / from.length()) + way[1]));
        camera.position.set(
            orbit.target.x + distance * Math.sin(down) * Math.sin(around),
            orbit.target.y + distance * Math.cos(down),
            orbit.target.z + distance * Math.sin(down) * Math.cos(around),
        );
        orbit.update();
        draw();
    });
    return draw;
}
