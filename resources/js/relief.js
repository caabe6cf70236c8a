// The relief that turns: draws the server's grid, in the colours of the sheet. Where there is no WebGL, the shaded plan stands
// in its place with a word about it.

import Delaunator from 'delaunator';
import {
    Box3,
    BufferAttribute,
    Color,
    DirectionalLight,
    HemisphereLight,
    BufferGeometry,
    Mesh,
    MeshLambertMaterial,
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
    const places = new Float32Array(3 * count);
    const colours = new Float32Array(3 * count);
    for (let k = 0; k < count; k += 1) {
        places.set([points[3 * k], z[k], -points[3 * k + 1]], 3 * k);
        tints[Math.min(9, Math.round((9 * (z[k] - low)) / range))].toArray(colours, 3 * k);
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

const landObjects = (mesh) => [landMesh(mesh), skirt(mesh), ...mesh.waters.map(water), ...mesh.strips.map(strip)];

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
    scene.add(...objects(mesh), new HemisphereLight(0xffffff, 0x8a8a78, 1.25));
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
