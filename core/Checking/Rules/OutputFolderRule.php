<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `output.folder`: set, inside the project, and the one asked. */
final readonly class OutputFolderRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::OUTPUT_FOLDER;
    }

    /** The folder relative to the project; null where it is not set or lies outside. */
    public static function insideProject(SceneSettings $scene): ?string
    {
        $set = str_replace('\\', '/', $scene->get(RequirementId::OUTPUT_FOLDER) ?? '');
        if (preg_match('~^(?:/|[A-Za-z]:|//)~', $set) === 1) {
            $project = rtrim(str_replace('\\', '/', $scene->source->projectFolder ?? ''), '/');
            $set = self::below($project, $set);
        }

        return $set === null || $set === '' ? null : self::tidied($set);
    }

    /** The rest of an absolute path behind the project; null where it lies elsewhere. */
    private static function below(string $project, string $path): ?string
    {
        if ($project === '') {
            return null;
        }
        if (str_starts_with("{$path}/", "{$project}/")) {
            $rest = substr($path, strlen($project) + 1);

            return $rest === '' ? '.' : $rest;
        }
        // the project may be named without where it lies
        $at = str_starts_with($project, '/') ? false : strpos("{$path}/", "/{$project}/");

        return $at === false ? null : substr("{$path}/", $at + strlen($project) + 2).'.';
    }

    /** Without `.` and `..`; null where those lead out. */
    private static function tidied(string $path): ?string
    {
        $parts = [];
        foreach (explode('/', $path) as $part) {
            if ($part === '..' && $parts === []) {
                return null;
            }
            if ($part === '..') {
                array_pop($parts);
            } elseif ($part !== '' && $part !== '.') {
                $parts[] = $part;
            }
        }

        return $parts === [] ? '.' : implode('/', $parts);
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $scene = $subject->scene;
        $set = $scene?->get(RequirementId::OUTPUT_FOLDER);
        if ($scene === null || $set === null) {
            return Cell::unknown();
        }
        if ($set === '') {
            return Cell::when(false, 'none');
        }
        $inside = self::insideProject($scene);
        $values = $subject->specification->pieceValues($subject->part);
        try {
            $found = $inside === null ? null : NamePattern::parseSceneName($inside)->make($values);
        } catch (PatternRefused) {
            $found = $inside;
        }

        return Cell::when(
            $found !== null && NamePattern::parse($requirement->value->single() ?? '*')->matchesFolder($found, $values),
            $set,
        );
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }
}
