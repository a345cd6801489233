import { describe, expect, test } from 'vitest';
import { beside, sentences, spokenLength, spokenRate } from '../../resources/js/features/check/movie';
import type { Movie } from '../../resources/js/types/views';

const REEL: Movie = {
    part: 'reel',
    path: 'TC_REEL_v003.mp4',
    kind: 'mp4',
    width: 480,
    height: 200,
    rate: '24000/1001',
    count: 45,
    duration: '9/5',
    codec: 'png',
    profile: null,
    bit_depth: 8,
    chroma: '4:4:4',
    alpha: false,
    scan: 'progressive',
    start_timecode: '01:00:00:00',
    audio: [],
};

describe('a movie in words', () => {
    test('rates and lengths are said as people say them', () => {
        expect(spokenRate('24')).toBe('24');
        expect(spokenRate('24000/1001')).toBe('23.976');
        expect(spokenLength('1')).toBe('1 second');
        expect(spokenLength('1001/500')).toBe('2 seconds');
        expect(spokenLength('7/6')).toBe('1.17 seconds');
    });

    test('what it is, what is heard, when it begins', () => {
        expect(sentences(REEL)).toEqual([
            '45 pictures at 23.976 a second: 1.8 seconds.',
            '480 × 200, png, 8 bits, 4:4:4, progressive, in MP4.',
            'No sound.',
            'It begins at 01:00:00:00.',
        ]);
        const heard = { sample_rate: 48000, channels: 1, bit_depth: 24, codec: 'pcm' };
        expect(sentences({ ...REEL, audio: [heard] })[2]).toBe('Sound: pcm, 48,000 Hz, 1 channel, 24 bits.');
    });

    test('one that was only recognised says nothing', () => {
        expect(sentences({ part: 'reel', path: 'a.mov', kind: 'mov' })).toEqual([]);
    });

    test('what was seen of its frames', () => {
        const against = {
            part: 'frames',
            frames: '1-48',
            looked: 'pictures',
            order: 'right',
            shows: '1-45',
            repeated: 1,
            why_not: null,
        };
        expect(beside(REEL)).toBe('');
        expect(beside({ ...REEL, against })).toBe(
            'Its pictures were looked at. They are frames 1-45, in their order, each once.',
        );
        expect(beside({ ...REEL, against: { ...against, repeated: 2 } })).toContain('each 2 times');
        expect(beside({ ...REEL, against: { ...against, order: 'reversed' } })).toContain('from the last to the first');
        expect(
            beside({
                ...REEL,
                against: { ...against, looked: 'counts', order: null, why_not: 'h264 is not decoded here' },
            }),
        ).toBe('Held against frames by count, shape and rate: h264 is not decoded here.');
        const held = { ...against, looked: 'counts' };
        expect(beside({ ...REEL, against: { ...held, newer: '40-48' } })).toContain(
            '40-48 of frames are newer than it: were they rendered again since?',
        );
        expect(beside({ ...REEL, against: { ...held, newer: '1-48' } })).toContain('was it made from them?');
    });
});
