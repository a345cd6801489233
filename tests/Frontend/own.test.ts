import { describe, expect, it } from 'vitest';
import { body } from '../../resources/js/features/own/messages';
import { isOfSystem } from '../../resources/js/lib/own/disk';
import { below } from '../../resources/js/lib/own/pick';

describe('what is sent of files of this machine', () => {
    it('has its head first, with its length before it, and all slices behind', async () => {
        const sent = { slices: [[3, 0, 2] as [number, number, number]], gone: [7], sums: { '4': 'ab' } };
        const bytes = new Uint8Array(await body(sent, [new Uint8Array([200, 201])]).arrayBuffer());
        const length = new DataView(bytes.buffer).getUint32(0);

        expect(JSON.parse(new TextDecoder().decode(bytes.slice(4, 4 + length)))).toEqual(sent);
        expect([...bytes.slice(4 + length)]).toEqual([200, 201]);
    });

    it('counts the length of its head in bytes, not in letters', async () => {
        const bytes = new Uint8Array(
            await body({ slices: [], gone: [], sums: { ä: null } }, [new Uint8Array([9])]).arrayBuffer(),
        );

        expect(new DataView(bytes.buffer).getUint32(0)).toBe(bytes.length - 5);
    });

    it('is named from the folder on that was chosen', () => {
        expect(below('v003/beauty/a.0001.exr')).toBe('beauty/a.0001.exr');
        expect(below('a.0001.exr')).toBe('a.0001.exr');
    });

    it('leaves out what systems put beside', () => {
        expect(['.DS_Store', '._a.png', 'Thumbs.db', 'a.png', '.hidden'].filter((name) => !isOfSystem(name))).toEqual([
            'a.png',
            '.hidden',
        ]);
    });
});
