<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Text\Text;

/** Where a frame lies, and by what it is known again. */
final readonly class FramePlace
{
    /** below the folder that was checked */
    public string $path;

    /** bytes */
    public int $size;

    /** seconds since 1970 */
    public int $modified;

    public function __construct(ListedFile $file)
    {
        $this->path = Text::shown($file->path());
        $this->size = $file->size;
        $this->modified = $file->modified;
    }
}
