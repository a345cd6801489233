<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\User;
use PlainLedger\Core\Matching\DeliveryMatch;
use PlainLedger\Core\Matching\Matcher;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Media\Decoders\Movies\MoviePictures;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\PlainSentence;

/** The movies that are owed: how they are made, what was delivered of them, and the pictures themselves. */
final readonly class MoviePage
{
    use RendersPage;

    public Book $book;

    public DeliverableHead $deliverable;

    public ?Ledger $ledger;

    public ?Progress $running;

    /** @var list<string> parts that are movies */
    public array $movies;

    /** @var list<ShownRecipe> */
    public array $recipes;

    /** @var list<string> those of which a copy with other tags can be had, which is all or part of the work */
    public array $taggable;

    /** @var list<string> those whose pictures are decoded here, and can be drawn one by one */
    public array $drawn;

    /** Whether the reader may have its pictures held against the frames. */
    public bool $mayCheck;

    /** Whether the files can be opened from here. */
    public bool $playable;

    public function __construct(Deliverable $deliverable, User $reader)
    {
        $newest = $deliverable->newest;
        $running = $deliverable->checks()->underWay()->latest('id')->first();
        $this->running = $running === null ? null : new Progress($running);
        $this->book = new Book($deliverable->production, $reader);
        $this->deliverable = new DeliverableHead($deliverable);
        $this->ledger = $newest === null ? null : new Ledger($newest);
        $asked = self::asked($deliverable);
        $parts = array_filter($asked->parts ?? [], static fn (Part $part): bool => $part->delivers->isMovie());
        $this->movies = array_values(array_map(static fn (Part $part): string => $part->name, $parts));
        $found = $asked === null ? null : self::found($deliverable, $asked);
        $this->recipes = $asked === null ? [] : ShownRecipe::all($asked, $found);
        $this->drawn = self::drawn($this->movies, $found);
        $this->mayCheck = $reader->can('check', $deliverable);
        $account = $newest?->account() ?? [];
        $this->taggable = array_values(array_filter(
            $this->movies,
            static fn (string $part): bool => MovieTags::of($account, $part) !== null,
        ));
        $this->playable = $newest?->delivery?->isInFolder() === true;
    }

    /**
     * @param  list<string>  $movies
     * @return list<string>
     */
    private static function drawn(array $movies, ?DeliveryMatch $found): array
    {
        return array_values(array_filter(
            $movies,
            static fn (string $part): bool => self::isDrawn($found?->parts[$part]->passes[0] ?? null),
        ));
    }

    private static function isDrawn(?PassMatch $movie): bool
    {
        $facts = $movie?->isEmpty() === false ? $movie->frames->factsAt(0) : null;

        return $facts?->movie !== null && $facts->isWhole() && MoviePictures::whyNot($facts) === null;
    }

    private static function asked(Deliverable $deliverable): ?Specification
    {
        try {
            return $deliverable->resolved();
        } catch (PlainSentence) {
            return null;
        }
    }

    /** The files of the newest check. */
    public static function found(Deliverable $deliverable, Specification $asked): ?DeliveryMatch
    {
        $delivery = $deliverable->newest?->delivery;

        return $delivery === null ? null : Matcher::match($asked, $delivery->scanned());
    }
}
