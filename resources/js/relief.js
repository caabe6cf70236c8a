// The relief that turns: draws the server's grid, in the colours of the sheet. Where there is no WebGL, the shaded plan stands
// in its place with a word about it.

import { Box3, BufferAttribute, Color, DirectionalLight, HemisphereLight, BufferGeometry, Mesh, MeshLambertMaterial, PerspectiveCamera, PlaneGeometry, Scene, Shape, ShapeGeometry, Sphere, Vector3, WebGLRenderer } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';

const css = (name) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();
const TURN = Math.PI / 24;

const heights = (text) => new Float32Array(Uint8Array.from(atob(text), (c) => c.charCodeAt(0)).buffer);

function landMesh(mesh) {
    const z = heights(mesh.heights);
    const plane = new PlaneGeometry(1, 1, mesh.cols - 1, mesh.rows - 1);
    const place = plane.attributes.position;
    const low = Math.min(...z);
    const range = Math.max(20, Math.max(...z) - low);
    const tints = Array.from({ length: 10 }, (_, k) => new Color(css(`--hyp-${k + 1}`)));
    const colours = new Float32Array(z.length * 3);
    for (let j = 0; j < mesh.rows; j += 1) {
        for (let i = 0; i < mesh.cols; i += 1) {
            const p = j * mesh.cols + i;
            // The first row of the plane is its far edge.
            const v = (mesh.rows - 1 - j) * mesh.cols + i;
            place.setXYZ(v, Math.min(mesh.width, (i + 0.5) * mesh.cell), z[p], -Math.min(mesh.depth, (j + 0.5) * mesh.cell));
            tints[Math.min(9, Math.round((9 * (z[p] - low)) / range))].toArray(colours, v * 3);
        }
    }
    // Where the land breaks along a formation, values stand on its edge.
    mesh.lines.forEach(([p, x, y, height]) => {
        const v = (mesh.rows - 1 - Math.floor(p / mesh.cols)) * mesh.cols + (p % mesh.cols);
        place.setXYZ(v, x, height, -y);
    });
    plane.setAttribute('color', new BufferAttribute(colours, 3));
    plane.computeVertexNormals();
    return new Mesh(plane, new MeshLambertMaterial({ vertexColors: true }));
}

function skirt(mesh) {
    const z = heights(mesh.heights);
    const at = (i, j) => [Math.min(mesh.width, (i + 0.5) * mesh.cell), z[j * mesh.cols + i], -Math.min(mesh.depth, (j + 0.5) * mesh.cell)];
    const ring = [];
    for (let i = 0; i < mesh.cols; i += 1) ring.push(at(i, 0));
    for (let j = 1; j < mesh.rows; j += 1) ring.push(at(mesh.cols - 1, j));
    for (let i = mesh.cols - 2; i >= 0; i -= 1) ring.push(at(i, mesh.rows - 1));
    for (let j = mesh.rows - 2; j > 0; j -= 1) ring.push(at(0, j));
    const floor = mesh.base - 18;
    const corners = [];
    ring.forEach((a, k) => {
        const b = ring[(k + 1) % ring.length];
        corners.push(...a, a[0], floor, a[2], ...b, ...b, a[0], floor, a[2], b[0], floor, b[2]);
    });
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
        return [...at(a[0], a[1], a[4]), ...at(a[2], a[3], a[4]), ...at(b[0], b[1], b[4]), ...at(b[0], b[1], b[4]), ...at(a[2], a[3], a[4]), ...at(b[2], b[3], b[4])];
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
        const ways = { ArrowLeft: [-TURN, 0, 1], ArrowRight: [TURN, 0, 1], ArrowUp: [0, -TURN, 1], ArrowDown: [0, TURN, 1], '+': [0, 0, 0.9], '=': [0, 0, 0.9], '-': [0, 0, 1.1] };
        const way = ways[event.key];
        if (!way) {
            return;
        }
        event.preventDefault();
        const distance = from.length() * way[2];
        const around = Math.atan2(from.x, from.z) + way[0];
        const down = Math.min(orbit.maxPolarAngle, Math.max(0.05, Math.acos(from.y / from.length()) + way[1]));
        camera.position.set(orbit.target.x + distance * Math.sin(down) * Math.sin(around), orbit.target.y + distance * Math.cos(down), orbit.target.z + distance * Math.sin(down) * Math.cos(around));
        orbit.update();
        draw();
    });
    return draw;
}
