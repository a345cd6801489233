<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementValue;

/** Channels, all of which are meant: `RGBA`, `R,G,B`. */
final readonly class ChannelsFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return Channels::write(Channels::parse(trim($text)));
    }

    protected function fromList(Descriptor $descriptor, array $json): RequirementValue
    {
        return RequirementValue::one($this->one($descriptor, implode(',', array_map(Scalar::text(...), $json))));
    }
}
