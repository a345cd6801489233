<?php

declare(strict_types=1);

namespace App\Http\Controllers\Specification;

use App\Http\WrittenSheet;
use App\Models\Deliverable;
use Illuminate\Http\Response as PlainResponse;

/** The sheet of a deliverable, as a file of any form. */
final class SheetController
{
    public function show(Deliverable $deliverable, string $format): PlainResponse
    {
        return WrittenSheet::of($deliverable->loadAsked(), $format);
    }
}
