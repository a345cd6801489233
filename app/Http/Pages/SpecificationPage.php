<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Actions\Changes\ChangedLayer;
use App\Models\Change;
use App\Models\Deliverable;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Conflicts\Conflict;
use PlainLedger\Core\Specification\Consequences;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PatternNotes;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\Prose;
use PlainLedger\Core\Specification\ReadFrom;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\SpecificationDraft;
use PlainLedger\Core\Text\PlainSentence;

/** What is asked of a deliverable, line by line, who set it, and what follows from it. */
final readonly class SpecificationPage
{
    /** @return array<string, mixed> */
    public static function of(Deliverable $deliverable): array
    {
        $layers = $deliverable->layers($deliverable->specification->latest);
        $draft = $deliverable->draft();

        return [
            'parts' => self::parts($draft, $layers, ChangedLayer::byLayer($deliverable)),
            'values' => array_filter($draft->specification->values, static fn (string $v): bool => $v !== ''),
            'own' => $deliverable->values,
            'offered' => self::offered(),
            'notUnderstood' => $draft->specification->notUnderstood,
            'usedBy' => $deliverable->specification->deliverables()->count(),
            'specification' => $deliverable->specification_id,
            'state' => self::state($deliverable),
        ];
    }

    /**
     * @param  list<Layer>  $layers
     * @param  array<string, ChangedLayer>  $targets
     * @return list<array<string, mixed>>
     */
    public static function parts(SpecificationDraft $draft, array $layers, array $targets): array
    {
        $quarrels = Proofreader::standard()->read($draft);
        $several = count($draft->specification->parts) > 1;

        return array_map(static fn (Part $part): array => self::part($draft, $part, $quarrels) + [
            'lines' => array_map(
                static fn (Requirement $r): array => self::line($r)
                    + self::who($r->descriptor, $part->name, $layers, $targets, $several),
                array_values($part->requirements),
            ),
            'dropped' => self::dropped($part, $layers, $targets, $several),
        ], $draft->specification->parts);
    }

    /**
     * @param  list<Conflict>  $quarrels
     * @return array<string, mixed> what follows from what is asked of a part
     */
    public static function part(SpecificationDraft $draft, Part $part, array $quarrels): array
    {
        $consequences = Consequences::of($draft->specification, $part);

        return [
            'name' => $part->name,
            'delivers' => $part->delivers->value,
            'madeFrom' => $part->madeFrom,
            'prose' => Prose::of($part),
            'consequences' => $consequences->lines, 'shape' => $consequences->shape, 'ruler' => $consequences->ruler,
            'names' => $consequences->names === null
                ? null
                : ['sets' => $consequences->names->sets, 'tree' => $consequences->names->tree()],
            'notes' => self::notes($draft, $part),
            'quarrels' => array_values(
                array_map(
                    static fn (Conflict $q): array => $q->toArray(),
                    array_filter($quarrels, static fn (Conflict $q): bool => $q->part === $part->name),
                ),
            ),
        ];
    }

    /** @return list<string> what should be known of the names */
    private static function notes(SpecificationDraft $draft, Part $part): array
    {
        $source = $part->single(RequirementId::NAMING_PATTERN);
        try {
            return $source === null ? [] : PatternNotes::of(NamePattern::parse($source), $draft->specification, $part);
        } catch (PlainSentence) {
            return [];
        }
    }

    /** @return array<string, mixed> */
    public static function line(Requirement $requirement): array
    {
        return [
            'id' => $requirement->id(),
            'label' => $requirement->descriptor->label,
            'group' => $requirement->descriptor->group->value,
            'value' => $requirement->typed(),
            'level' => $requirement->level->value,
            'why' => $requirement->why,
            'setBy' => $requirement->setBy->value,
            'sentence' => $requirement->sentence(),
            'example' => $requirement->descriptor->accepts->example,
            'words' => $requirement->descriptor->accepts->words,
        ];
    }

    /**
     * What each layer says of a line, and the marks by which another's change is noticed.
     *
     * @param  list<Layer>  $layers
     * @param  array<string, ChangedLayer>  $targets
     * @return array{layers: array<string, string|null>, tokens: array<string, string>}
     */
    private static function who(
        Descriptor $descriptor,
        string $part,
        array $layers,
        array $targets,
        bool $several,
    ): array {
        $said = [];
        foreach ($layers as $layer) {
            $own = self::own($layer, $part, $descriptor->id);
            if ($own !== false) {
                $said[$layer->setBy->value] = self::text($descriptor, $own);
            }
        }
        $tokens = array_map(
            static fn (ChangedLayer $t): string => $t->token(
                $t->partFor($part, $descriptor->id, $several),
                $descriptor->id,
            ),
            $targets,
        );

        return ['layers' => $said, 'tokens' => $tokens];
    }

    private static function own(Layer $layer, string $part, string $id): mixed
    {
        foreach (is_array($layer->data['parts'] ?? null) ? $layer->data['parts'] : [] as $each) {
            if (
                is_array($each)
                && ($each['name'] ?? null) === $part
                && is_array($each['require'] ?? null)
                && array_key_exists($id, $each['require'])
            ) {
                return $each['require'][$id];
            }
        }
        $require = $layer->data['require'] ?? null;

        return is_array($require) && array_key_exists($id, $require) ? $require[$id] : false;
    }

    private static function text(Descriptor $descriptor, mixed $json): ?string
    {
        try {
            return $json === null ? null : Requirement::read($descriptor, $json, SetBy::Specification, 'Here')->typed();
        } catch (PlainSentence $refused) {
            return $refused->getMessage();
        }
    }

    /**
     * What a lower layer asks and a higher one asks no more.
     *
     * @param  list<Layer>  $layers
     * @param  array<string, ChangedLayer>  $targets
     * @return list<array<string, mixed>>
     */
    private static function dropped(Part $part, array $layers, array $targets, bool $several): array
    {
        $dropped = [];
        foreach (Catalogue::standard()->all() as $descriptor) {
            if ($part->find($descriptor->id) !== null) {
                continue;
            }
            $who = self::who($descriptor, $part->name, $layers, $targets, $several);
            $by = array_key_last($who['layers']);
            $asked = array_filter($who['layers'], is_string(...));
            if ($by !== null && $who['layers'][$by] === null && $asked !== []) {
                $dropped[] = [
                    'id' => $descriptor->id,
                    'label' => $descriptor->label,
                    'by' => $by,
                    'from' => array_key_last($asked),
                    'value' => $asked[array_key_last($asked)],
                    'tokens' => $who['tokens'],
                ];
            }
        }

        return $dropped;
    }

    /** @return list<array<string, mixed>> everything that can be asked, with the words by which it is found */
    public static function offered(): array
    {
        return array_map(static fn (Descriptor $d): array => [
            'id' => $d->id,
            'label' => $d->label,
            'group' => $d->group->value,
            'example' => $d->accepts->example,
            'also' => $d->wording->also,
            'words' => $d->accepts->words,
            'sides' => implode('', array_map(static fn (ReadFrom $side): string => $side->value, $d->readFrom)),
        ], Catalogue::standard()->all());
    }

    /**
     * @return array{token: string, by: string|null, at: string|null} a mark of all layers together, and who changed
     *   one last
     */
    public static function state(Deliverable $deliverable): array
    {
        $token = substr(
            hash(
                'sha256',
                (string) json_encode(
                    [
                        $deliverable->production->house,
                        $deliverable->specification->latest->data,
                        $deliverable->overrides,
                        $deliverable->values,
                    ],
                ),
            ),
            0,
            16,
        );
        $last = Change::query()->where('production_id', $deliverable->production_id)
            ->where(
                fn ($query) => $query->where('deliverable_id', $deliverable->id)
                    ->orWhere('specification_id', $deliverable->specification_id)
                    ->orWhere('layer', 'house'),
            )
            ->with('person')->latest('id')->first();

        return ['token' => $token, 'by' => $last?->person?->name, 'at' => $last?->created_at->format('H:i')];
    }
}
