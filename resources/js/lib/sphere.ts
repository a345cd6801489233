/** Where one looks from the middle of a sphere, in degrees, and how wide. */
export interface Aim {
    across: number;
    up: number;
    open: number;
}

export const MOST_OPEN = 90;

const LEAST_OPEN = 20;

/** The aim once it was turned; up and down end at the poles, across goes round. */
export function turned({ across, up, open }: Aim, right: number, higher: number, wider: number): Aim {
    return {
        across: ((((across + right + 180) % 360) + 360) % 360) - 180,
        up: Math.max(-90, Math.min(90, up + higher)),
        open: Math.max(LEAST_OPEN, Math.min(MOST_OPEN, open + wider)),
    };
}

const CORNERS = `#version 300 es
in vec2 corner;
out vec2 p;
void main() { p = corner; gl_Position = vec4(corner, 0.0, 1.0); }`;

/** Each point of the canvas is a direction, and each direction a place of a lat-long picture. */
const POINTS = `#version 300 es
precision highp float;
in vec2 p;
out vec4 colour;
uniform sampler2D picture;
uniform vec3 aim;
uniform int mode;
const float PI = 3.14159265358979;
void main() {
    if (mode != 0) {
        vec2 flat_ = vec2(p.x * 0.5 + 0.5, 0.5 - p.y * 0.5);
        colour = textureLod(picture, vec2(fract(flat_.x + (mode == 1 ? 0.5 : 0.0)), flat_.y), 0.0);
        return;
    }
    float open = tan(aim.z / 2.0);
    vec3 d = normalize(vec3(p.x * open * 2.0, p.y * open, -1.0));
    d = vec3(d.x, d.y * cos(aim.y) - d.z * sin(aim.y), d.y * sin(aim.y) + d.z * cos(aim.y));
    d = vec3(d.x * cos(aim.x) - d.z * sin(aim.x), d.y, d.x * sin(aim.x) + d.z * cos(aim.x));
    vec2 place = vec2(fract(atan(d.x, -d.z) / (2.0 * PI) + 0.5), 0.5 - asin(clamp(d.y, -1.0, 1.0)) / PI);
    colour = textureLod(picture, place, 0.0);
}`;

export type Mode = 'turn' | 'seam' | 'flat';

export interface Sphere {
    draw: (mode: Mode, aim: Aim) => void;
    /** Takes another picture in the place of the one before. */
    take: (picture: TexImageSource) => void;
}

function shader(gl: WebGL2RenderingContext, type: number, source: string): WebGLShader | null {
    const made = gl.createShader(type);
    if (made === null) {
        return null;
    }
    gl.shaderSource(made, source);
    gl.compileShader(made);

    return made;
}

function program(gl: WebGL2RenderingContext): WebGLProgram | null {
    const [corners, points] = [shader(gl, gl.VERTEX_SHADER, CORNERS), shader(gl, gl.FRAGMENT_SHADER, POINTS)];
    if (corners === null || points === null) {
        return null;
    }
    const made = gl.createProgram();
    gl.attachShader(made, corners);
    gl.attachShader(made, points);
    gl.linkProgram(made);

    return gl.getProgramParameter(made, gl.LINK_STATUS) === true ? made : null;
}

/** What draws a lat-long picture into a canvas; null where the browser cannot. */
export function beginSphere(canvas: HTMLCanvasElement, picture: TexImageSource): Sphere | null {
    const gl = canvas.getContext('webgl2', { preserveDrawingBuffer: true });
    const linked = gl === null ? null : program(gl);
    if (gl === null || linked === null) {
        return null;
    }
    gl.useProgram(linked);
    gl.bindBuffer(gl.ARRAY_BUFFER, gl.createBuffer());
    gl.bufferData(gl.ARRAY_BUFFER, new Float32Array([-1, -1, 1, -1, -1, 1, 1, 1]), gl.STATIC_DRAW);
    const corner = gl.getAttribLocation(linked, 'corner');
    gl.enableVertexAttribArray(corner);
    gl.vertexAttribPointer(corner, 2, gl.FLOAT, false, 0, 0);
    gl.bindTexture(gl.TEXTURE_2D, gl.createTexture());
    const take = (next: TexImageSource) => gl.texImage2D(gl.TEXTURE_2D, 0, gl.RGBA, gl.RGBA, gl.UNSIGNED_BYTE, next);
    take(picture);
    gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MIN_FILTER, gl.LINEAR);
    gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_WRAP_S, gl.REPEAT);
    gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_WRAP_T, gl.CLAMP_TO_EDGE);

    const draw: Sphere['draw'] = (mode, { across, up, open }) => {
        const radians = (degrees: number) => (degrees * Math.PI) / 180;
        gl.uniform3f(gl.getUniformLocation(linked, 'aim'), radians(across), radians(up), radians(open));
        gl.uniform1i(gl.getUniformLocation(linked, 'mode'), { turn: 0, seam: 1, flat: 2 }[mode]);
        gl.drawArrays(gl.TRIANGLE_STRIP, 0, 4);
    };

    return { draw, take };
}
