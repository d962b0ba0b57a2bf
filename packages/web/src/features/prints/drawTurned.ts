import * as THREE from 'three';

/** A part on a canvas, that can be turned. */
export interface TurnedMesh {
  /** By so many radians, to the right and down as it is seen. */
  turn(right: number, down: number): void;
  /** Nearer (above 1) or farther. */
  zoom(by: number): void;
  reset(): void;
  end(): void;
}

const INK = { light: 0xb9b9b9, line: 0x171717 };
/** Creases sharper than this are drawn, degrees. */
const CREASE = 30;
/** Looked at from half above and half from the side, as a part lies in the hand. */
const BEGIN = { x: -1.1, z: 0.6 };

/** Draws a mesh on a canvas; throws where the browser draws no bodies. */
export function drawTurned(canvas: HTMLCanvasElement, corners: Float32Array): TurnedMesh {
  const renderer = new THREE.WebGLRenderer({ canvas, alpha: true, antialias: true });
  renderer.setPixelRatio(window.devicePixelRatio);
  const shape = new THREE.BufferGeometry();
  shape.setAttribute('position', new THREE.BufferAttribute(corners, 3));
  shape.center();
  shape.computeVertexNormals();
  shape.computeBoundingSphere();
  const radius = shape.boundingSphere?.radius ?? 1;
  const edges = new THREE.EdgesGeometry(shape, CREASE);
  const body = new THREE.Group();
  const skin = new THREE.MeshLambertMaterial({
    ...{ color: INK.light, side: THREE.DoubleSide, flatShading: true },
    ...{ polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 1 },
  });
  const ink = new THREE.LineBasicMaterial({ color: INK.line });
  body.add(new THREE.Mesh(shape, skin), new THREE.LineSegments(edges, ink));
  const scene = new THREE.Scene();
  const sun = new THREE.DirectionalLight(0xffffff, 2.2);
  sun.position.set(-1, 2, 3);
  scene.add(body, sun, new THREE.AmbientLight(0xffffff, 1.3));
  const camera = new THREE.OrthographicCamera();
  camera.position.z = 10 * radius;
  camera.far = 20 * radius;
  let near = 1;
  const draw = () => {
    const { clientWidth: width, clientHeight: height } = canvas;
    if (width === 0 || height === 0) return;
    renderer.setSize(width, height, false);
    const half = (1.1 * radius) / near;
    const wide = (half * width) / Math.min(width, height);
    const high = (half * height) / Math.min(width, height);
    Object.assign(camera, { left: -wide, right: wide, top: high, bottom: -high });
    camera.updateProjectionMatrix();
    renderer.render(scene, camera);
  };
  const watch = new ResizeObserver(draw);
  watch.observe(canvas);
  const turned = {
    turn: (right: number, down: number) => {
      // About the axes of whoever looks, not of the part.
      body.applyQuaternion(new THREE.Quaternion().setFromEuler(new THREE.Euler(down, right, 0)));
      draw();
    },
    zoom: (by: number) => {
      near = Math.min(8, Math.max(0.5, near * by));
      draw();
    },
    reset: () => {
      near = 1;
      body.rotation.set(BEGIN.x, 0, 0);
      body.rotateZ(BEGIN.z);
      draw();
    },
    end: () => {
      watch.disconnect();
      for (const own of [shape, edges, skin, ink, renderer]) own.dispose();
    },
  };
  turned.reset();
  return turned;
}
