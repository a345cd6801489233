<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** What a writer noted beside the picture. */
final readonly class FileLabels
{
    /**
     * @param  list<string>  $layers  names of layers and parts beside the first picture
     * @param  array<string, string>  $header  other named facts worth showing
     * @param  string|null  $alphaKind  `straight` or `premultiplied`; null where the file does not say
     */
    public function __construct(
        public ?string $camera = null,
        public array $layers = [],
        public array $header = [],
        public ?string $alphaKind = null,
    ) {}

    public function withoutHeader(): self
    {
        return new self($this->camera, $this->layers, [], $this->alphaKind);
    }
}
