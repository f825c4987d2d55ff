import {
  AmbientLight,
  CanvasTexture,
  CatmullRomCurve3,
  CircleGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  Group,
  LatheGeometry,
  Mesh,
  MeshStandardMaterial,
  PerspectiveCamera,
  Scene,
  SRGBColorSpace,
  TubeGeometry,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three';
import type { Schemas } from '../../api/client';
import { skin } from './skin';

type Body = Schemas['RoundObject'];

const SEGMENTS = 160;
const FIELD = 24;
const UNKNOWN_GOODS = '#f2f0ea';
const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** Where a body stands and is turned. One unit is a millimetre; it is drawn only when something changes. */
export class Stage {
  readonly #place: HTMLElement;
  readonly #renderer = new WebGLRenderer({ antialias: true, alpha: true, preserveDrawingBuffer: true });
  readonly #camera = new PerspectiveCamera(FIELD, 1, 1, 10_000);
  readonly #scene = new Scene();
  readonly #tilted = new Group();
  readonly #turned = new Group();
  readonly #resized: ResizeObserver;
  #size = { height: 1, width: 1 };

  constructor(place: HTMLElement) {
    this.#place = place;
    place.append(this.#renderer.domElement);
    const [key, fill] = [new DirectionalLight('#ffffff', 1.9), new DirectionalLight('#ffffff', 0.6)];
    key.position.set(-1, 1.2, 2);
    fill.position.set(1.5, 0.4, -1);
    this.#scene.add(new AmbientLight('#ffffff', 1.5), key, fill, this.#tilted);
    this.#tilted.add(this.#turned);
    this.#resized = new ResizeObserver(() => this.#fit());
    this.#resized.observe(place);
  }

  /** Puts another body on the stage, its skin painted with its ink. */
  show({ body, inks, goods }: Schemas['ObjectView']) {
    this.#clear();
    const texture = new CanvasTexture(
      skin(body, inks, goods.colour, () => {
        texture.needsUpdate = true;
        this.#draw();
        this.#place.dataset.painted = 'true';
      }),
    );
    texture.colorSpace = SRGBColorSpace;
    texture.anisotropy = this.#renderer.capabilities.getMaxAnisotropy();
    const colour = new Color(goods.colour || UNKNOWN_GOODS);
    const floor = new Mesh(
      new CircleGeometry(body.profile[0]?.radius ?? 1, SEGMENTS),
      new MeshStandardMaterial({ color: colour, side: DoubleSide }),
    );
    floor.rotation.x = -Math.PI / 2;
    floor.position.y = 0.4;
    this.#turned.add(
      new Mesh(wallOf(body), new MeshStandardMaterial({ map: texture, roughness: 0.55, metalness: 0.05, side: DoubleSide })),
      floor,
    );
    const handle = handleOf(body);
    if (handle) this.#turned.add(new Mesh(handle, new MeshStandardMaterial({ color: colour, roughness: 0.55 })));
    const height = Math.max(...body.profile.map((p) => p.up));
    this.#turned.position.y = -height / 2;
    const wide = Math.max(...body.profile.map((p) => p.radius), ...body.handle.map((p) => p.radius + body.handleThick / 2));
    this.#size = { height: height * 1.12, width: 2 * wide };
    this.#fit();
  }

  /** Turns the body about its axis, and tilts it towards the reader; degrees. */
  turn(turn: number, tilt: number) {
    this.#turned.rotation.y = rad(-turn);
    this.#tilted.rotation.x = rad(tilt);
    this.#draw();
  }

  dispose() {
    this.#resized.disconnect();
    this.#clear();
    this.#renderer.dispose();
    this.#renderer.domElement.remove();
  }

  #fit() {
    const { clientWidth: width, clientHeight: height } = this.#place;
    if (width === 0 || height === 0) return;
    this.#renderer.setPixelRatio(window.devicePixelRatio);
    this.#renderer.setSize(width, height);
    this.#camera.aspect = width / height;
    this.#camera.position.z =
      Math.max(this.#size.height, this.#size.width / this.#camera.aspect) / (2 * Math.tan(rad(FIELD / 2))) + this.#size.width / 2;
    this.#camera.updateProjectionMatrix();
    this.#draw();
  }

  #draw() {
    this.#renderer.render(this.#scene, this.#camera);
  }

  #clear() {
    delete this.#place.dataset.painted;
    for (const mesh of [...this.#turned.children]) {
      this.#turned.remove(mesh);
      if (!(mesh instanceof Mesh)) continue;
      mesh.geometry.dispose();
      for (const material of [mesh.material].flat() as MeshStandardMaterial[]) {
        material.map?.dispose();
        material.dispose();
      }
    }
  }
}

/** The wall turned about its axis; its texture runs along the wall, not upright. */
export function wallOf(body: Pick<Body, 'profile' | 'skinHeight'>): LatheGeometry {
  // Starting at the back, so that the middle of the skin comes to the front.
  const wall = new LatheGeometry(
    body.profile.map((p) => new Vector2(p.radius, p.up)),
    SEGMENTS,
    Math.PI,
    2 * Math.PI,
  );
  const uv = wall.getAttribute('uv');
  const rows = body.profile.length;
  for (let i = 0; i < uv.count; i++) uv.setY(i, (body.profile[i % rows]?.along ?? 0) / body.skinHeight);
  return wall;
}

/** The handle at the back, opposite the front; none where there is none. */
export function handleOf(body: Pick<Body, 'handle' | 'handleThick'>): TubeGeometry | undefined {
  if (body.handle.length === 0) return undefined;
  const curve = new CatmullRomCurve3(body.handle.map((p) => new Vector3(0, p.up, -p.radius)));
  return new TubeGeometry(curve, 60, body.handleThick / 2, 14);
}
