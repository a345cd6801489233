import { expect, test } from 'vitest';
import { to } from '../../resources/js/lib/route';

test('an address by its name, with what it needs, and what is asked behind it', () => {
    expect(to('calculate')).toBe('/calculate');
    expect(to('scene', { deliverable: 7 })).toBe('/deliverables/7/scene');
    expect(to('scene.entry', { deliverable: 7 }, { part: 'fog & rain' })).toBe(
        '/deliverables/7/scene/enter?part=fog%20%26%20rain',
    );
});
