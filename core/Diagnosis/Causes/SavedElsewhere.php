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
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** `saved-elsewhere`: the right files in another folder, or an output folder that is unset or outside the project. */
final readonly class SavedElsewhere implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        if ($situation->inFiles(RequirementId::NAMING_FOLDER)) {
            yield $this->lie($situation);
        }
        $scene = $situation->scene();
        if ($scene !== null && $situation->inScene(RequirementId::OUTPUT_FOLDER)) {
            yield from $this->set($situation, $scene);
        }
    }

    private function lie(Situation $situation): Finding
    {
        $fixes = [];
        $folders = [];
        $asked = '';
        foreach ($situation->passes() as $pass) {
            foreach ($pass->takes as $take) {
                if ($take->folderFits) {
                    continue;
                }
                $from = NamePattern::tidyFolder($take->sequence->folder());
                $folders[] = Text::shown($from);
                $asked = $this->folderOf($situation, $pass);
                $frames = $situation->subject->isNumbered() ? $take->frames : null;
                $fixes[] = Fix::move($situation->part(), $from, $asked, RenameFix::target($pass, $take), $frames);
            }
        }
        $folders = array_values(array_unique($folders));
        $spoken = static fn (string $folder): string => $folder === '.' ? 'the delivery’s root' : "“{$folder}”";

        return Finding::of(
            CauseId::SavedElsewhere,
            Side::Files,
            'The files lie in '.Text::series(array_map($spoken, $folders)).", and the folder asked is “{$asked}”.",
            ['found in '.implode(', ', $folders)],
            [RequirementId::NAMING_FOLDER, RequirementId::OUTPUT_FOLDER],
            $fixes,
        );
    }

    private function folderOf(Situation $situation, PassMatch $pass): string
    {
        $values = $situation->subject->specification->pieceValues($situation->subject->part);
        $pattern = NamePattern::parse($situation->askedOfPart(RequirementId::NAMING_FOLDER) ?? '.');

        return NamePattern::tidyFolder(
            $pattern->make($pass->pass === null ? $values : $values->with('pass', $pass->pass)),
        );
    }

    /** @return iterable<Finding> */
    private function set(Situation $situation, SceneSettings $scene): iterable
    {
        $id = RequirementId::OUTPUT_FOLDER;
        $set = $scene->get($id) ?? '';
        $starting = in_array($set, $situation->subject->specification->startingValues[$id] ?? [], true);
        if (! $starting && OutputFolderRule::insideProject($scene) !== null) {
            return;
        }
        $touches = $situation->inFiles(RequirementId::NAMING_FOLDER) ? [$id] : [$id, RequirementId::NAMING_FOLDER];
        yield Finding::of(
            CauseId::SavedElsewhere,
            Side::Scene,
            $this->setSays($set, $starting),
            [
                $set === '' ? 'output.folder is empty' : "output.folder is {$set}",
                ...($starting ? ['it is a starting value'] : []),
            ],
            $touches,
            [Fix::set($situation->part(), $id, 'the output folder', $set, $situation->asTyped($id))],
        );
    }

    private function setSays(string $set, bool $starting): string
    {
        return match (true) {
            $set === '' => 'The scene has no output folder: its files would go to wherever the program saves '
                .'by default.',
            $starting => "The output folder was never set: “{$set}” is where an untouched scene writes.",
            self::isDefaultPlace($set) => "The scene writes to “{$set}”, a place where programs save what has no "
                .'folder of its own, outside its project.',
            default => "The scene writes to “{$set}”, outside its project.",
        };
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
