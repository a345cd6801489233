interface Preset {
    word: string;
    group: string;
    title: string;
}

/** Presets to choose from, by their groups. */
export function PresetOptions({ presets }: { presets: Preset[] }) {
    const groups = [...new Set(presets.map((preset) => preset.group))];

    return groups.map((group) => (
        <optgroup key={group} label={group}>
            {presets
                .filter((preset) => preset.group === group)
                .map((preset) => (
                    <option key={preset.word} value={preset.word}>
                        {preset.title}
                    </option>
                ))}
        </optgroup>
    ));
}
