<?php

declare(strict_types=1);

namespace App\Http\Pages\Book;

use App\Models\CheckOutline;
use App\Models\Deliverable;
use App\Models\Membership;
use App\Models\Production;
use App\Models\User;
use Illuminate\Support\Str;
use PlainLedger\Core\Diagnosis\CauseId;

/** Something that was found by a word: what it is, and where it stands. */
final readonly class Found
{
    private const MOST = 8;

    /** Of so many deliverables the causes are looked through. */
    private const MOST_LOOKED_THROUGH = 2000;

    private function __construct(public string $kind, public string $says, public string $more, public string $url) {}

    /**
     * Productions, deliverables by code or title, people, and deliverables by what is wrong with them: the reader's;
     * requirements where they are asked of what is open, and causes.
     *
     * @param  Deliverable|null  $open  whose page is open
     * @return list<self>
     */
    public static function of(string $text, User $reader, ?Deliverable $open = null): array
    {
        if ($text === '') {
            return [];
        }
        $productions = $reader->productions()->get();

        return [
            ...self::productions($text, $productions),
            ...self::deliverables($text, $productions, $reader),
            ...self::causes($text, $productions, $reader),
            ...self::people($text, $productions, $reader),
            ...($open === null ? [] : self::requirements($text, $open)),
            ...self::explained($text),
        ];
    }

    /**
     * What is asked of a deliverable, where it stands on its page.
     *
     * @return list<self>
     */
    private static function requirements(string $text, Deliverable $open): array
    {
        $parts = $open->draft()->specification->parts;
        $found = [];
        foreach ($parts as $part) {
            foreach ($part->requirements as $asked) {
                if (self::bears($text, $asked->descriptor->label, $asked->descriptor->id)) {
                    $name = count($parts) > 1 ? $part->name : '';
                    $found[] = new self(
                        'requirement',
                        $asked->descriptor->label,
                        trim("{$open->code} {$name}"),
                        route('specification', $open->id, false)."#{$name}-{$asked->descriptor->id}",
                    );
                }
            }
        }

        return array_slice($found, 0, self::MOST);
    }

    /**
     * Causes, where they are explained.
     *
     * @return list<self>
     */
    private static function explained(string $text): array
    {
        $found = [];
        foreach (CauseId::cases() as $cause) {
            // a code's letters stand within many a word
            if (preg_match('~\b'.preg_quote(self::spoken($text), '~').'~iu', self::spoken($cause->value)) === 1) {
                $url = route('causes', absolute: false)."#{$cause->value}";
                $found[] = new self('cause', self::spoken($cause->value), '', $url);
            }
        }

        return array_slice($found, 0, self::MOST);
    }

    private static function bears(string $text, ?string ...$words): bool
    {
        foreach ($words as $word) {
            if ($word !== null && mb_stripos($word, $text) !== false) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  iterable<Production>  $productions
     * @return list<self>
     */
    private static function productions(string $text, iterable $productions): array
    {
        $found = [];
        foreach ($productions as $production) {
            if (self::bears($text, $production->name, $production->code)) {
                $url = route('production', $production->id, false);
                $found[] = new self('production', $production->name, $production->code, $url);
            }
        }

        return array_slice($found, 0, self::MOST);
    }

    /**
     * @param  iterable<Production>  $productions
     * @return list<self>
     */
    private static function deliverables(string $text, iterable $productions, User $reader): array
    {
        $found = [];
        foreach ($productions as $production) {
            $word = '%'.addcslashes(mb_strtolower($text), '%_\\').'%';
            $own = $production->deliverables()->openTo($reader)->with('newest', 'owner')
                ->where(fn ($any) => $any->whereRaw("lower(code) like ? escape '\\'", [$word])
                    ->orWhereRaw("lower(title) like ? escape '\\'", [$word]))
                ->orderBy('code')->limit(self::MOST)->get();
            foreach ($own as $deliverable) {
                $found[] = self::deliverable($deliverable, $deliverable->title, $production);
            }
        }

        return array_slice($found, 0, self::MOST);
    }

    private static function deliverable(Deliverable $deliverable, string $more, Production $production): self
    {
        return new self(
            'deliverable',
            $deliverable->code,
            $more === '' ? $production->name : "{$more}, {$production->name}",
            route(IndexLine::folio(CheckOutline::of($deliverable->newest)), $deliverable->id, false),
        );
    }

    /**
     * Deliverables whose newest check tells a cause of that name.
     *
     * @param  iterable<Production>  $productions
     * @return list<self>
     */
    private static function causes(string $text, iterable $productions, User $reader): array
    {
        $wanted = [];
        foreach (CauseId::cases() as $cause) {
            if (self::bears($text, $cause->value, self::spoken($cause->value))) {
                $wanted[] = $cause->value;
            }
        }
        $found = [];
        foreach ($wanted === [] ? [] : $productions as $production) {
            $own = $production->deliverables()->openTo($reader)->with('newest')->orderBy('code')
                ->limit(self::MOST_LOOKED_THROUGH)->get();
            foreach ($own as $deliverable) {
                $there = array_intersect(array_column($deliverable->newest->summary['causes'] ?? [], 'id'), $wanted);
                $found = $there === []
                    ? $found
                    : [...$found, self::deliverable($deliverable, self::spoken((string) reset($there)), $production)];
            }
        }

        return array_slice($found, 0, self::MOST);
    }

    private static function spoken(string $cause): string
    {
        return str_replace('-', ' ', $cause);
    }

    /**
     * @param  iterable<Production>  $productions
     * @return list<self>
     */
    private static function people(string $text, iterable $productions, User $reader): array
    {
        $found = [];
        foreach ($productions as $production) {
            $isOpen = $reader->can('decide', $production);
            foreach ($isOpen ? $production->memberships()->with('user')->get() : [] as $member) {
                if (self::bears($text, $member->user->name, $member->user->email, $member->user->handle)) {
                    $found[] = self::person($member, $production);
                }
            }
        }

        return array_slice($found, 0, self::MOST);
    }

    private static function person(Membership $member, Production $production): self
    {
        return new self(
            'person',
            $member->user->name,
            Str::lower($member->role->value).", {$production->name}",
            route('people', $production->id, false),
        );
    }
}
