<?php

declare(strict_types=1);

namespace PlainLedger\Demo\Practice;

use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Matching\MovieLook;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Practice\PracticeTruth;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\Readers\SceneJson;
use PlainLedger\Core\Specification\Specification;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Makes a delivery and the settings it was rendered with, with known mistakes, another one for each word. What it comes
 * to is checked at once: an exercise in which the mistakes do not show as what they are is made anew.
 */
final readonly class PracticeMaker
{
    private const TRIES = 12;

    /**
     * @param  list<Blunder>  $blunders
     * @param  string  $word  whose exercise it is: the same word makes the same exercise
     * @param  string  $folder  an empty one; `specification.json`, `scene.json` and `files/` come into it
     *
     * @throws PracticeRefused where the mistakes hide each other
     */
    public function make(string $title, array $blunders, string $word, string $folder): PracticeTruth
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            $shot = self::shot($blunders, "{$word}/{$try}");
            self::write($shot, $title, $folder);
            $truth = self::truth($folder);
            $wanted = array_map(static fn (Blunder $b): string => $b->value, $blunders);
            if (array_diff($wanted, array_keys($truth->causes)) === [] && ($wanted !== [] || $truth->balances())) {
                return $truth;
            }
            if (getenv('DBG')) {
                echo implode(',', array_keys($truth->causes)),'; ';
            } self::clear($folder);
        }
        throw PracticeRefused::because(
            implode(', ', array_column($blunders, 'value')),
            'hide each other: together they cannot be told apart',
        );
    }

    /** What a check says of an exercise that was made. */
    public static function truth(string $folder): PracticeTruth
    {
        $read = static fn (string $name): string => (string) file_get_contents("{$folder}/{$name}");
        $specification = Specification::fromDocument(
            JsonDocument::parse($read('specification.json'), 'specification.json', Specification::FORMAT),
        );
        $scene = (new SceneJson)->read($read('scene.json'), 'scene.json');
        $listing = FolderListing::of("{$folder}/files");
        $sampler = PixelRules::sampler($specification);
        $scan = new Scan($listing, Probe::standard(), ScanDepth::Full, $sampler);
        $delivery = MovieLook::at($specification, $scan->run(time()), $listing, $sampler);

        return PracticeTruth::of(CheckReport::of($specification, $scene, $delivery)->toArray());
    }

    /** @param  list<Blunder>  $blunders */
    private static function shot(array $blunders, string $word): PracticeShot
    {
        $chance = new Randomizer(new Mt19937(crc32($word)));
        $shot = PracticeShot::any($chance);
        // what is owed besides frames changes what a name should be, so that comes first
        usort($blunders, static fn (Blunder $a, Blunder $b): int => $b->owesMore() <=> $a->owesMore());
        foreach ($blunders as $blunder) {
            $shot = $blunder->befall($shot, $chance);
        }

        return $shot;
    }

    private static function write(PracticeShot $shot, string $title, string $folder): void
    {
        $flags = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR;
        $specification = json_encode($shot->asked->specification($title), $flags);
        file_put_contents("{$folder}/specification.json", "{$specification}\n");
        $scene = json_encode($shot->scene(), $flags)."\n";
        file_put_contents("{$folder}/scene.json", $scene);
        $shot->renderInto("{$folder}/files");
    }

    private static function clear(string $folder): void
    {
        foreach (glob("{$folder}/files/*") ?: [] as $file) {
            unlink($file);
        }
    }
}
