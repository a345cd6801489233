<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers;

use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Text\PlainSentence;

/** Reads scene settings from one format. */
interface SceneReader
{
    /**
     * @param  string  $label  how the file is called in sentences
     * @param  FieldMap|null  $map  other names that are known for settings
     *
     * @throws PlainSentence
     */
    public function read(string $text, string $label, ?FieldMap $map = null): SceneSettings;
}
