<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Http\Moment;
use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\RendersPage;
use App\Models\Check;
use App\Models\DeliveryOrigin;
use App\Models\User;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Specification\ApprovedPicture;
use PlainLedger\Core\Specification\RequirementId;

/** Frames of one sequence, to be seen: many at once, at their rate, or two beside each other. */
final readonly class LookPage
{
    use RendersPage;

    private const MOST_EARLIER = 10;

    public Book $book;

    public DeliverableHead $deliverable;

    public int $check;

    public string $part;

    public ?string $pass;

    /** @var list<array{part: string, pass: string|null}> all that can be seen of this check */
    public array $sequences;

    /** @var string frames that are there and whole, as a range */
    public string $present;

    /** @var string frames that are not as they should be, as a range */
    public string $wrong;

    /** @var array{int, int}|null frames a second, as a fraction; null where no rate is asked */
    public ?array $rate;

    /** @var list<string> whose channels can be shown; `""` for those in none */
    public array $layers;

    /** @var list<array{id: int, made: string}> other checks whose files may be laid beside these, the newest first */
    public array $earlier;

    /** Whether they show all that is around one point. */
    public bool $around;

    /** @var list<int> frames that have an approved picture */
    public array $approved;

    public function __construct(Check $check, string $part, ?string $pass, User $reader)
    {
        $document = $check->account();
        /** @var list<array{part: string|null, pass: string|null, present: string, damaged: string}> $all */
        $all = $document['sequences'];
        $owed = array_values(array_filter($all, static fn (array $s): bool => $s['part'] !== null));
        $here = array_values(array_filter(
            $owed,
            static fn (array $s): bool => $s['part'] === $part && ($pass === null || $s['pass'] === $pass),
        ))[0] ?? abort(404);
        /** @var list<array{part: string, pass: string|null, wrong: string, layers?: list<string>}> $strips */
        $strips = $document['strip'] ?? [];
        $strip = array_values(array_filter(
            $strips,
            static fn (array $s): bool => $s['part'] === $part && $s['pass'] === $here['pass'],
        ))[0] ?? null;
        $this->book = new Book($check->deliverable->production, $reader);
        $this->deliverable = new DeliverableHead($check->deliverable);
        $this->check = $check->id;
        $this->part = $part;
        $this->pass = $here['pass'];
        $this->sequences = array_map(
            static fn (array $s): array => ['part' => (string) $s['part'], 'pass' => $s['pass']],
            $owed,
        );
        $this->present = $here['present'];
        $this->wrong = implode(',', array_filter([$strip['wrong'] ?? '', $here['damaged']]));
        $asked = $check->resolved()->part($part)?->values(RequirementId::PICTURE_PROJECTION) ?? [];
        $this->around = array_diff($asked, ['flat']) !== [];
        $this->rate = self::rate($check, $part);
        $this->layers = $strip['layers'] ?? [''];
        $this->earlier = self::earlier($check);
        $this->approved = array_keys(ApprovedPicture::in($check->resolved()));
    }

    /** @return array{int, int}|null */
    private static function rate(Check $check, string $part): ?array
    {
        foreach ($check->resolved()->parts as $one) {
            $asked = $one->name === $part ? $one->single(RequirementId::TIME_RATE) : null;
            if ($asked !== null) {
                $rate = FrameRate::parse($asked)->value->simplified();

                return [$rate->getNumerator()->toInt(), $rate->getDenominator()->toInt()];
            }
        }

        return null;
    }

    /** @return list<array{id: int, made: string}> */
    private static function earlier(Check $check): array
    {
        return array_values($check->deliverable->checks()->done()
            ->whereKeyNot($check->id)
            ->whereNotNull('delivery_id')
            ->whereHas('delivery', static fn ($query) => $query->whereNot('origin', DeliveryOrigin::Own))
            ->latest('id')
            ->limit(self::MOST_EARLIER)
            ->get(['id', 'deliverable_id', 'updated_at'])
            ->map(static fn (Check $c): array => ['id' => $c->id, 'made' => Moment::told($c->updated_at)])
            ->all());
    }
}
