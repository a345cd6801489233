<?php

declare(strict_types=1);

namespace PlainLedger\Demo\Practice;

use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Practice\Marking;
use PlainLedger\Core\Practice\SpecificationMarking;
use PlainLedger\Core\Practice\TriedDelivery;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Conflicts\Conflict;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationRefused;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A job in words, of which somebody writes the specification; and deliveries that it is tried on. */
final readonly class Brief
{
    public const FORMAT = 'plain-ledger/practice-brief';

    /** What is tried beside what is right: what it is, and the line that tells it. */
    private const TRIED = [
        'scale-below-full' => ['all frames have half the size', 'picture.resolution'],
        'depth-dropped' => ['all frames have 8 bits a channel', 'format.bit_depth'],
        'alpha-not-saved' => ['all frames are without transparency', 'format.channels'],
        'frames-dropped' => ['three frames are missing', 'time.range'],
        'too-many-digits' => ['frame numbers have six digits', 'naming.pattern'],
        'wrong-version' => ['names have the version before', 'naming.pattern'],
        'black-frames' => ['three frames are black', 'content.black'],
        'leftovers' => ['other files lie among them', 'delivery.extras'],
    ];

    private function __construct(private AskedShot $asked, private string $word) {}

    /** @param  string  $word  whose job it is: the same word describes the same */
    public static function of(string $word): self
    {
        return new self(PracticeShot::any(self::chance($word))->asked, $word);
    }

    public function text(): string
    {
        $asked = $this->asked;
        $count = $asked->last - $asked->first + 1;
        $first = strtr($asked->sceneName(), ['{frame:4}' => (string) $asked->first, '{ext}' => 'png']);

        return "The shot {$asked->code}, of the task “{$asked->task}”: {$count} frames, the first of them "
            ."{$asked->first}, at 24 a second. Each is {$asked->size->width} pixels wide and {$asked->size->height} "
            .'high, a PNG with 16 bits a channel and with transparency. A file is named by the shot, the task and the '
            .'version (this is the third, in three digits), and by the frame number in four digits behind a dot, as in '
            ."{$first}. No frame may be black, and nothing else may lie in the folder.";
    }

    /** @return array<string, mixed> a `plain-ledger/specification` document in which nothing is asked yet */
    public function blank(): array
    {
        return [
            'format' => Specification::FORMAT, 'version' => 1, 'title' => $this->asked->code, 'delivers' => 'frames',
            'values' => ['shot' => $this->asked->code, 'task' => $this->asked->task, 'version' => 3], 'require' => [],
        ];
    }

    /**
     * @param  JsonDocument  $document  a `plain-ledger/specification`
     * @param  string  $folder  an empty one, for what it is tried on; it is left empty
     *
     * @throws JsonRefused|SpecificationRefused where it cannot be read
     */
    public function mark(JsonDocument $document, string $folder): Marking
    {
        $written = Specification::fromDocument($document);
        $draft = Specification::draft(new Layer(SetBy::Specification, $document->data, $document->label));
        $tried = [$this->tried($written, null, $folder)];
        foreach (array_keys(self::TRIED) as $blunder) {
            $tried[] = $this->tried($written, Blunder::from($blunder), $folder);
        }
        $conflicts = array_map(
            static fn (Conflict $conflict): string => $conflict->says,
            Proofreader::standard()->read($draft),
        );

        return SpecificationMarking::of($conflicts, $tried);
    }

    private function tried(Specification $written, ?Blunder $blunder, string $folder): TriedDelivery
    {
        $chance = self::chance($this->word);
        $shot = PracticeShot::any($chance);
        $files = $folder.'/'.($blunder->value ?? 'right');
        ($blunder?->befall($shot, $chance) ?? $shot)->renderInto($files);
        $scan = new Scan(
            FolderListing::of($files),
            Probe::standard(),
            ScanDepth::Full,
            PixelRules::sampler($written),
        );
        $report = CheckReport::of($written, null, $scan->run(time()));
        foreach (glob("{$files}/*") ?: [] as $file) {
            unlink($file);
        }
        rmdir($files);
        [$says, $catches] = self::TRIED[$blunder->value ?? ''] ?? ['it is as it is described', null];

        return new TriedDelivery($says, $catches, self::unequal($report));
    }

    /** @return array<string, string> */
    private static function unequal(CheckReport $report): array
    {
        $unequal = [];
        foreach ($report->check->entries as $entry) {
            if ($entry->isUnequal() && $entry->level() === Level::Must) {
                $unequal[$entry->id()] = self::inWords($entry);
            }
        }

        return $unequal;
    }

    private static function inWords(Entry $entry): string
    {
        $label = $entry->requirement->descriptor->label;

        return "{$label} asks {$entry->required} and finds ".($entry->files->found ?? 'something else');
    }

    private static function chance(string $word): Randomizer
    {
        return new Randomizer(new Mt19937(crc32("brief/{$word}")));
    }
}
