<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Tabular\SeparatedValues;
use PlainLedger\Core\Tabular\Table;
use PlainLedger\Core\Tabular\TableRefused;

/** A roster that is one table with headings, in whatever order: names, addresses, numbers. */
final readonly class ListedRoster
{
    /** Usual headings, letters and digits only. */
    private const WORDS = [
        'number' => [
            'id', 'number', 'no', 'nr', 'studentid', 'studentnumber', 'studentno', 'learnerid', 'learnernumber',
            'userid', 'personid', 'matriculation', 'matriculationnumber', 'registration', 'registrationnumber',
            'externalid', 'identifier', 'sourcedid',
        ],
        'name' => [
            'name', 'fullname', 'student', 'studentname', 'learner', 'learnername', 'displayname', 'participant',
        ],
        'first' => ['first', 'firstname', 'forename', 'givenname', 'given', 'preferredname'],
        'last' => ['last', 'lastname', 'surname', 'familyname', 'family'],
        'email' => ['email', 'emailaddress', 'mail', 'address', 'eaddress'],
        'handle' => ['username', 'user', 'login', 'loginid', 'handle', 'account', 'accountname', 'signin'],
        'role' => ['role', 'roles', 'type'],
    ];

    private const TEACHES = ['teacher', 'instructor', 'lecturer', 'tutor', 'assistant', 'aide'];

    /**
     * @throws CourseRefused
     * @throws TableRefused
     */
    public static function read(string $bytes, string $label): Roster
    {
        $isHeading = static fn (string $word): bool => self::meaning($word) !== null;
        $table = Table::of(SeparatedValues::cells($bytes, $label), $label, $isHeading);
        $meanings = array_map(self::meaning(...), $table->headings);
        if (array_intersect($meanings, ['name', 'first', 'last', 'email']) === []) {
            throw CourseRefused::because($label, 'no column has names or addresses: head one “name” or “email”.');
        }
        $people = [];
        foreach ($table->rows as $row) {
            $person = self::person(self::told($meanings, $row));
            if ($person->name !== '' || $person->email !== '') {
                $people[] = $person;
            }
        }

        return Roster::of($people, $label);
    }

    /**
     * @param  list<string|null>  $meanings  by column
     * @param  list<string>  $row
     * @return array<string, string> what the first column of each meaning says
     */
    private static function told(array $meanings, array $row): array
    {
        $told = [];
        foreach ($meanings as $at => $meaning) {
            $value = trim($row[$at] ?? '');
            if ($meaning !== null && $value !== '') {
                $told[$meaning] ??= $value;
            }
        }

        return $told;
    }

    /** @param  array<string, string>  $told */
    private static function person(array $told): RosterPerson
    {
        $roles = preg_split('~[^a-z]+~', strtolower($told['role'] ?? '')) ?: [];

        return new RosterPerson(
            $told['number'] ?? '',
            self::name($told),
            $told['email'] ?? '',
            $told['handle'] ?? '',
            array_intersect($roles, self::TEACHES) !== [],
        );
    }

    /** @param  array<string, string>  $told */
    private static function name(array $told): string
    {
        [$whole, $first, $last] = [$told['name'] ?? '', $told['first'] ?? '', $told['last'] ?? ''];
        $name = match (true) {
            // what somebody likes to be called stands beside a whole name, not for it
            $last === '' => $whole !== '' ? $whole : $first,
            $first !== '' => "{$first} {$last}",
            // beside a column of family names one of “names” has the given ones, or both
            default => str_contains($whole, $last) ? $whole : trim("{$whole} {$last}"),
        };

        // `Reed, Wren` is written the other way about
        return preg_match('~^([^,]+),\s*([^,]+)$~u', $name, $m) === 1 ? "{$m[2]} {$m[1]}" : $name;
    }

    private static function meaning(string $heading): ?string
    {
        $plain = strtolower((string) preg_replace('~[^A-Za-z0-9]~', '', $heading));
        foreach (self::WORDS as $meaning => $words) {
            if (in_array($plain, $words, true)) {
                return $meaning;
            }
        }

        return null;
    }
}
