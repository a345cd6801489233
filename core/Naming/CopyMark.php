<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

/** What is put to a name when a file is copied, kept aside, or given a second extension. */
final readonly class CopyMark
{
    private const MARKS = [
        '~( ?\(\d{1,3}\)|[ _-]*(?i:copy|kopie)(?:[ _]?\(?\d{1,3}\)?)?)(?=\.[A-Za-z]\w{1,4}$|$)~',
        '~(\~|\.bak|\.orig|\.old)$~i',
        '~(?<=\.)(?:jpe?g|tiff?|[A-Za-z][A-Za-z0-9]{1,4})(\.(?:jpe?g|tiff?|png|exr|tga|dpx|webp|bmp|mp4|mov|avi'
            .'|mkv|webm|mxf|wav))$~i',
    ];

    private function __construct(private string $text, private int $at) {}

    public static function in(string $name): ?self
    {
        foreach (self::MARKS as $expression) {
            if (preg_match($expression, $name, $m, PREG_OFFSET_CAPTURE) === 1 && $m[1][1] > 0) {
                return new self($m[1][0], $m[1][1]);
            }
        }

        return null;
    }

    public function without(string $name): string
    {
        return substr_replace($name, '', $this->at, strlen($this->text));
    }

    public function piece(): PieceReading
    {
        $isExtension = preg_match('~^\.[A-Za-z][A-Za-z0-9]{1,4}$~', $this->text) === 1
            && ! in_array(strtolower($this->text), ['.bak', '.orig', '.old'], true);

        return new PieceReading(
            'extra',
            '',
            $this->text,
            [$isExtension ? Difference::Extension : Difference::CopySuffix],
        );
    }
}
