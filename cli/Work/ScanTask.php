<?php

declare(strict_types=1);

namespace PlainLedger\Cli\Work;

use PlainLedger\Core\Delivery\ContentOrder;
use PlainLedger\Core\Delivery\CrashGuard;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\KnownFacts;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Delivery\ScanOrder;
use PlainLedger\Core\Delivery\ScanStage;
use PlainLedger\Core\Matching\MovieLook;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Media\PixelSampler;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SampleOptions;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;

/** Some seconds of a scan. What was found is in the spool file afterwards: a checkpoint, or the whole delivery. */
final readonly class ScanTask
{
    private const FILES_A_STEP = 200;

    /** Seconds between two lines that say how far it is. */
    private const TELLS = 0.5;

    /** @param  \Closure(array<string, mixed>): void  $say */
    public function __construct(private \Closure $say) {}

    public function run(ScanOrder $order): void
    {
        $beat = new Beat($this->say);
        $listing = new BeatingListing(PlaceListing::at($order->place->path, $order->place->called), $beat);
        $sampler = self::sampler($order->content);
        $scan = new Scan(
            $listing,
            Probe::standard(),
            $order->depth,
            $sampler,
            $order->content->sums,
            $this->caution($order),
            self::known($order->place->known),
        );
        $spool = SpoolFile::read($order->spool);
        if ($spool !== null) {
            $scan->resume($spool);
        }
        $until = microtime(true) + $order->seconds;
        $told = 0.0;
        foreach ($scan->steps(self::FILES_A_STEP) as $progress) {
            $now = microtime(true);
            if ($now - $told > self::TELLS) {
                $told = $now;
                ($this->say)(['done' => $progress->done, 'all' => $progress->all, 'at' => $progress->at]);
            }
            // names are listed in one go: they are quick, and a folder cannot be entered half-way
            if ($progress->all !== null && $now > $until) {
                SpoolFile::keep($order->spool, $scan->checkpoint());
                ($this->say)(['paused' => true]);

                return;
            }
        }
        $delivery = $scan->delivery(time());
        if ($order->content->layers !== []) {
            $asked = self::specification($order->content->layers);
            MovieLook::at($asked, $delivery, $listing, $sampler, $order->content->seen);
        }
        SpoolFile::keep($order->spool, $delivery->toArray());
        ($this->say)(['ended' => true]);
    }

    /** @param  list<array{set_by: string, data: array<string, mixed>, label: string}>  $layers */
    private static function specification(array $layers): Specification
    {
        return Specification::resolve(...array_map(
            static fn (array $l): Layer => new Layer(SetBy::from($l['set_by']), $l['data'], $l['label']),
            $layers,
        ));
    }

    private static function known(string $file): ?KnownFacts
    {
        $kept = $file === '' ? null : SpoolFile::read($file);

        return $kept === null ? null : new KnownFacts(Delivery::fromArray($kept));
    }

    private function caution(ScanOrder $order): CrashGuard
    {
        $avoided = array_map(
            static fn (array $stages): array => array_map(ScanStage::from(...), $stages),
            $order->avoided,
        );
        $announce = fn (string $path, ScanStage $stage) => ($this->say)(
            ['path' => base64_encode($path), 'stage' => $stage->value],
        );

        return new CrashGuard($avoided, $order->careful ? $announce : null);
    }

    /** What is to look at pixels; null where nothing asks what is in them. */
    public static function sampler(ContentOrder $content): ?PixelSampler
    {
        $looksFor = $content->looksFor;
        if ($looksFor === null) {
            return null;
        }
        $approved = ApprovedFiles::pictures($content->approved, array_keys($looksFor['approved']));
        $dark = $looksFor['dark'] === null ? null : Fraction::parse($looksFor['dark']);

        return PixelSampler::standard(
            new SampleOptions($looksFor['compares'], $dark, $approved),
        );
    }
}
