<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\OutputFolderRule;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\RenameFix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** `saved-elsewhere`: the right files in another folder, or an output folder that is unset or outside the project. */
final readonly class SavedElsewhere implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        $part = $situation->part();
        $scene = $situation->scene();
        if ($situation->inFiles(RequirementId::NAMING_FOLDER)) {
            $fixes = [];
            $folders = [];
            $values = $situation->subject->specification->pieceValues($situation->subject->part);
            $asked = '';
            foreach ($situation->passes() as $pass) {
                $own = $pass->pass === null ? $values : $values->with('pass', $pass->pass);
                foreach ($pass->takes as $take) {
                    if (! $take->folderFits) {
                        $from = NamePattern::tidyFolder($take->sequence->folder());
                        $folders[Text::shown($from)] = true;
                        $to = NamePattern::tidyFolder(
                            NamePattern::parse(
                                $situation->subject->part->single(RequirementId::NAMING_FOLDER) ?? '.',
                            )->make($own),
                        );
                        $asked = $to;
                        $fixes[] = Fix::move(
                            $part,
                            $from,
                            $to,
                            RenameFix::target($pass, $take),
                            $situation->subject->isNumbered() ? $take->frames : null,
                        );
                    }
                }
            }
            $names = Text::series(
                array_map(
                    static fn (string|int $f): string => (string) $f === '.' ? 'the delivery’s root' : "“{$f}”",
                    array_keys($folders),
                ),
            );
            yield Finding::of(
                CauseId::SavedElsewhere,
                Side::Files,
                "The files lie in {$names}, and the folder asked is “{$asked}”.",
                ['found in '.implode(', ', array_keys($folders))],
                [RequirementId::NAMING_FOLDER, RequirementId::OUTPUT_FOLDER],
                $fixes,
            );
        }
        if ($scene !== null && $situation->inScene(RequirementId::OUTPUT_FOLDER)) {
            yield from $this->set($situation, $scene);
        }
    }

    /** @return iterable<Finding> */
    private function set(Situation $situation, SceneSettings $scene): iterable
    {
        $set = $scene->get(RequirementId::OUTPUT_FOLDER) ?? '';
        $asked = $situation->asTyped(RequirementId::OUTPUT_FOLDER);
        $starting = in_array(
            $set,
            $situation->subject->specification->startingValues[RequirementId::OUTPUT_FOLDER] ?? [],
            true,
        );
        $outside = OutputFolderRule::insideProject($scene) === null;
        if (! $starting && ! $outside) {
            return;
        }
        $says = match (true) {
            $set === '' => 'The scene has no output folder: its files would go to wherever the program saves '
                .'by default.',
            $starting => "The output folder was never set: “{$set}” is where an untouched scene writes.",
            self::isDefaultPlace($set) => "The scene writes to “{$set}”, a place where programs save what has no "
                .'folder of its own, outside its project.',
            default => "The scene writes to “{$set}”, outside its project.",
        };
        yield Finding::of(
            CauseId::SavedElsewhere,
            Side::Scene,
            $says,
            [
                $set === '' ? 'output.folder is empty' : "output.folder is {$set}",
                ...($starting ? ['it is a starting value'] : []),
            ],
            [
                RequirementId::OUTPUT_FOLDER,
                ...($situation->inFiles(RequirementId::NAMING_FOLDER) ? [] : [RequirementId::NAMING_FOLDER]),
            ],
            [Fix::set($situation->part(), RequirementId::OUTPUT_FOLDER, 'the output folder', $set, $asked)],
        );
    }

    /** Folders for what is to be thrown away, and those of a person's own on a desk. */
    private static function isDefaultPlace(string $folder): bool
    {
        return preg_match(
            '#^(?:/(?:private/)?(?:var/)?tmp(?:/|$)|[a-z]:/(?:windows/)?te?mp(?:/|$)|%?te?mp%?(?:/|$)|~(?:/|$))'
                .'|/(?:desktop|documents|downloads|appdata|temp)(?:/|$)#i',
            strtr($folder, '\\', '/'),
        ) === 1;
    }
}
