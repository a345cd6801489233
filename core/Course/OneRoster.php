<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Tabular\SeparatedValues;
use PlainLedger\Core\Tabular\TableRefused;
use PlainLedger\Core\Text\Text;

/**
 * Rosters as OneRoster CSV: `users.csv` and `enrollments.csv`, with `classes.csv` where there are several classes; 1.1,
 * where a user has a role, and 1.2, where `roles.csv` has it (1EdTech, OneRoster CSV Binding 1.1 and 1.2). What is
 * marked to be deleted, and who is not enabled, is left out.
 */
final readonly class OneRoster
{
    private const TEACHES = ['teacher', 'aide', 'administrator', 'proctor', 'principal', 'siteadministrator'];

    /**
     * @param  array<array-key, string>  $files  bytes by file name, whatever case
     * @param  string|null  $class  the id of one; null: everybody
     *
     * @throws CourseRefused
     * @throws TableRefused
     */
    public static function read(array $files, ?string $class = null): Roster
    {
        $files = array_change_key_case($files);
        $users = self::records($files, 'users.csv') ?? throw CourseRefused::because(
            'the roster',
            'it has no users.csv, which says who there is.',
        );
        $enrolled = self::records($files, 'enrollments.csv') ?? [];
        $classes = self::classes(self::records($files, 'classes.csv') ?? [], $enrolled);
        if ($class !== null && ! in_array($class, array_column($classes, 'id'), true)) {
            throw CourseRefused::because('the roster', 'it has no class “'.Text::shown($class).'”.');
        }
        $isInClass = static fn (array $row): bool => $class === null || ($row['classsourcedid'] ?? '') === $class;
        $inClass = self::roles(array_values(array_filter($enrolled, $isInClass)));
        if ($enrolled !== []) {
            $users = array_values(array_filter(
                $users,
                /** @param  array<string, string>  $user */
                static fn (array $user): bool => isset($inClass[$user['sourcedid'] ?? '']),
            ));
        }
        $roles = self::roles(self::records($files, 'roles.csv') ?? []);
        $people = array_map(
            static fn (array $user): RosterPerson => self::person($user, $inClass, $roles),
            array_values(array_filter($users, self::isEnabled(...))),
        );

        return Roster::of($people, 'the roster', $classes, self::notes($users, $inClass));
    }

    /**
     * @param  list<array<string, string>>  $users
     * @param  array<array-key, list<string>>  $inClass
     * @return list<string>
     */
    private static function notes(array $users, array $inClass): array
    {
        $notes = [];
        foreach ($users as $user) {
            if (! self::isEnabled($user)) {
                $notes[] = Text::shown(self::name($user)).' is not enabled there, and is left out.';
            }
        }
        $missing = count(array_diff_key($inClass, array_flip(array_column($users, 'sourcedid'))));

        return $missing === 0
            ? $notes
            : [...$notes, Text::count($missing, 'person', 'people').' enrolled in it stand in no users.csv.'];
    }

    /** @param  array<string, string>  $user */
    private static function isEnabled(array $user): bool
    {
        return strtolower($user['enableduser'] ?? 'true') !== 'false';
    }

    /** @param  array<array-key, string>  $files  bytes by file name */
    public static function isOne(array $files): bool
    {
        return isset(array_change_key_case($files)['users.csv']);
    }

    /**
     * @param  array<string, string>  $user
     * @param  array<array-key, list<string>>  $inClass  what each user is in it
     * @param  array<array-key, list<string>>  $roles  what each user is anywhere
     */
    private static function person(array $user, array $inClass, array $roles): RosterPerson
    {
        $id = $user['sourcedid'] ?? '';
        $told = [...$inClass[$id] ?? [], ...$roles[$id] ?? []];
        $roles = $told === [] ? [strtolower($user['role'] ?? '')] : $told;
        $identifier = $user['identifier'] ?? '';

        return new RosterPerson(
            $identifier !== '' ? $identifier : $id,
            self::name($user),
            $user['email'] ?? '',
            $user['username'] ?? '',
            array_intersect($roles, self::TEACHES) !== [],
        );
    }

    /** @param  array<string, string>  $user */
    private static function name(array $user): string
    {
        $first = $user['preferredgivenname'] ?? '';
        $last = $user['preferredfamilyname'] ?? '';

        return trim(($first !== '' ? $first : $user['givenname'] ?? '').' '
            .($last !== '' ? $last : $user['familyname'] ?? ''));
    }

    /**
     * @param  list<array<string, string>>  $rows
     * @return array<array-key, list<string>> what each user is there, by user
     */
    private static function roles(array $rows): array
    {
        $roles = [];
        foreach ($rows as $row) {
            $roles[$row['usersourcedid'] ?? ''][] = strtolower($row['role'] ?? '');
        }

        return $roles;
    }

    /**
     * @param  list<array<string, string>>  $rows
     * @param  list<array<string, string>>  $enrolled
     * @return list<array{id: string, title: string, people: int}>
     */
    private static function classes(array $rows, array $enrolled): array
    {
        $many = array_count_values(array_column($enrolled, 'classsourcedid'));
        $titles = array_column($rows, 'title', 'sourcedid');
        $classes = [];
        foreach (array_keys($many + $titles) as $id) {
            $title = $titles[$id] ?? '';
            $classes[] = [
                'id' => (string) $id,
                'title' => Text::shown($title !== '' ? $title : (string) $id),
                'people' => $many[$id] ?? 0,
            ];
        }

        return $classes;
    }

    /**
     * @param  array<array-key, string>  $files
     * @return list<array<string, string>>|null values by heading in small letters; null where there is no such file
     *
     * @throws TableRefused
     */
    private static function records(array $files, string $name): ?array
    {
        if (! isset($files[$name])) {
            return null;
        }
        $rows = SeparatedValues::cells($files[$name], $name);
        $headings = array_map(static fn (string $h): string => strtolower(trim($h)), array_shift($rows) ?? []);
        $records = [];
        foreach ($rows as $row) {
            if (implode('', $row) === '') {
                continue;
            }
            $record = [];
            foreach ($headings as $at => $heading) {
                $record[$heading] = trim($row[$at] ?? '');
            }
            if (strtolower($record['status'] ?? '') !== 'tobedeleted') {
                $records[] = $record;
            }
        }

        return $records;
    }
}
