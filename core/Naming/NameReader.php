<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

/** Reads names by a pattern and the values of its pieces; what one name teaches of the pattern serves the next. */
final class NameReader
{
    private readonly ExactName $exact;

    private ?ApproximateName $approximate = null;

    private function __construct(private readonly NamePattern $pattern, private readonly PieceValues $values)
    {
        $this->exact = ExactName::of($pattern, $values);
    }

    public static function of(NamePattern $pattern, PieceValues $values): self
    {
        return new self($pattern, $values);
    }

    /** How a name reads by the pattern, piece by piece. */
    public function read(string $name): NameReading
    {
        return $this->exact->read($name) ?? $this->approximate()->read($name);
    }

    private function approximate(): ApproximateName
    {
        return $this->approximate ??= ApproximateName::of($this->pattern, $this->values);
    }
}
