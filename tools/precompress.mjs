// Packs what was built, once: the server sends the packed file to whoever takes one. Usage: node tools/precompress.mjs
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const folder = 'public/build/assets';

for (const name of readdirSync(folder)) {
    if (!/\.(js|css|svg|json)$/.test(name) || statSync(`${folder}/${name}`).size < 1024) {
        continue;
    }
    const bytes = readFileSync(`${folder}/${name}`);
    writeFileSync(`${folder}/${name}.gz`, gzipSync(bytes, { level: 9 }));
    writeFileSync(
        `${folder}/${name}.br`,
        brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }),
    );
}
