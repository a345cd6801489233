<?php

declare(strict_types=1);

namespace App\Http\Controllers\Specification;

use App\Http\Pages\Specification\ImpliedPart;
use App\Http\Pages\Specification\Understanding;
use App\Http\Requests\Specification\UnderstandRequest;
use App\Models\Deliverable;
use Illuminate\Http\JsonResponse;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\PlainSentence;

/** How a typed value is understood, and what would follow from it, before it is kept. */
final class UnderstandController
{
    /** @answers Understanding */
    public function __invoke(UnderstandRequest $request, Deliverable $deliverable): JsonResponse
    {
        $descriptor = $request->descriptor();
        if ($descriptor === null) {
            return response()->json(Understanding::unknown());
        }
        try {
            $typed = $request->typed($descriptor);
            $requirement = Requirement::read($descriptor, $typed, SetBy::Deliverable, 'Here');

            return response()->json(Understanding::of(
                $requirement,
                self::implied($deliverable->loadAsked(), $request->part(), $descriptor->id, $typed),
            ));
        } catch (PlainSentence $refused) {
            return response()->json(Understanding::refused($refused));
        }
    }

    /** @return list<ImpliedPart> */
    private static function implied(Deliverable $deliverable, string $part, string $id, mixed $typed): array
    {
        $own = ['require' => [$id => $typed]];
        $layer = $part === '' ? $own : ['parts' => [['name' => $part] + $own]];
        $draft = Specification::draft(
            ...$deliverable->layers($deliverable->specification->latest),
            ...[new Layer(SetBy::Deliverable, $layer, 'Here')],
        );
        $conflicts = Proofreader::standard()->read($draft);

        return array_map(
            static fn (Part $part): ImpliedPart => new ImpliedPart($draft, $part, $conflicts),
            $draft->specification->parts,
        );
    }
}
