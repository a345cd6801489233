<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Text\Text;

/** Who takes part in a course, as another system lists them. */
final readonly class Roster
{
    private const MOST_PEOPLE = 2000;

    /**
     * @param  list<RosterPerson>  $people
     * @param  list<array{id: string, title: string, people: int}>  $classes  that it has; empty where it is one list
     * @param  list<string>  $notes  what was left out, and why, a sentence each
     */
    private function __construct(public array $people, public array $classes, public array $notes) {}

    /**
     * Each person once. Who stands there twice alike is one; an id or an address that is two people's is neither's.
     *
     * @param  list<RosterPerson>  $people
     * @param  list<array{id: string, title: string, people: int}>  $classes
     * @param  list<string>  $notes
     *
     * @throws CourseRefused
     */
    public static function of(array $people, string $label, array $classes = [], array $notes = []): self
    {
        if (count($people) > self::MOST_PEOPLE) {
            $most = number_format(self::MOST_PEOPLE);
            throw CourseRefused::because($label, "it lists more than {$most} people; choose one class, or less.");
        }
        $kept = self::once($people, $notes);
        foreach (['number' => 'id', 'email' => 'address'] as $property => $word) {
            $kept = self::withoutShared($kept, $property, $word, $notes);
        }

        return new self($kept, $classes, $notes);
    }

    /**
     * @param  list<RosterPerson>  $people
     * @param  list<string>  $notes
     * @return list<RosterPerson>
     */
    private static function once(array $people, array &$notes): array
    {
        $kept = [];
        foreach ($people as $person) {
            $key = json_encode([$person->number, CourseLearner::nameKey($person->name), mb_strtolower($person->email)]);
            if (isset($kept[$key])) {
                $notes[] = self::shown($person).' stands there twice, and is taken once.';
                // whoever teaches anywhere teaches
                $person = $person->teaches ? $person : $kept[$key];
            }
            $kept[$key] = $person;
        }

        return array_values($kept);
    }

    /**
     * @param  list<RosterPerson>  $people
     * @param  list<string>  $notes
     * @return list<RosterPerson>
     */
    private static function withoutShared(array $people, string $property, string $word, array &$notes): array
    {
        $by = [];
        foreach ($people as $at => $person) {
            $value = mb_strtolower($property === 'number' ? $person->number : $person->email);
            if ($value !== '') {
                $by[$value][] = $at;
            }
        }
        foreach ($by as $value => $places) {
            if (count($places) > 1) {
                $names = Text::series(array_map(static fn (int $at): string => self::shown($people[$at]), $places));
                $notes[] = "{$names} have the same {$word}, “".Text::shown((string) $value)
                    .'”; none of them is taken until that is put right.';
                $people = array_diff_key($people, array_flip($places));
            }
        }

        return array_values($people);
    }

    private static function shown(RosterPerson $person): string
    {
        return mb_strimwidth(Text::shown($person->name !== '' ? $person->name : $person->email), 0, 60, '…');
    }
}
