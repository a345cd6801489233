<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

/** Which columns of a gradebook say whose a row is, and where points and a remark go; kept, by headings. */
final readonly class GradebookColumns
{
    /**
     * @param  list<string>  $whose  one heading, or two that make a name together
     * @param  string  $points  one that is not there is added at the end
     * @param  string|null  $remark  null: no remark is written
     */
    public function __construct(
        public array $whose,
        public NamedBy $by,
        public string $points,
        public ?string $remark = null,
    ) {}

    /** @return array{whose: list<string>, by: string, points: string, remark: string|null} */
    public function toArray(): array
    {
        return [
            'whose' => $this->whose, 'by' => $this->by->value, 'points' => $this->points, 'remark' => $this->remark,
        ];
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): ?self
    {
        $whose = array_values(array_filter(
            is_array($data['whose'] ?? null) ? $data['whose'] : [],
            static fn (mixed $heading): bool => is_string($heading) && $heading !== '',
        ));
        $by = is_string($data['by'] ?? null) ? NamedBy::tryFrom($data['by']) : null;
        $points = $data['points'] ?? null;
        $remark = $data['remark'] ?? null;

        return $whose === [] || count($whose) > 2 || $by === null || ! is_string($points) || trim($points) === ''
            ? null
            : new self($whose, $by, $points, is_string($remark) && trim($remark) !== '' ? $remark : null);
    }
}
