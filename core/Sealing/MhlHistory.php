<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

use PlainLedger\Core\Checksums\C4Id;
use PlainLedger\Core\Checksums\Manifest;
use PlainLedger\Core\Delivery\ChecksumList;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Text\Text;

/**
 * The media hash lists that lie in a delivery's `ascmhl` folder, one a generation, and the chain that holds them
 * (ASC MHL 2.0): each is written once and never changed, which the chain's C4 identifiers show.
 */
final readonly class MhlHistory
{
    private const GENERATION = '~^(\d{4,})_.+\.mhl$~i';

    /**
     * @param  array<int, string>  $generations  names of documents, by number
     * @param  array<array-key, array{string, string}>  $sums  the first sum of each path: algorithm, hexadecimal digits
     * @param  string|null  $chain  as it stands there
     * @param  list<string>  $faults  what is wrong with the chain, a sentence each
     */
    private function __construct(
        public array $generations,
        public array $sums,
        public ?string $chain,
        public array $faults,
    ) {}

    public static function none(): self
    {
        return new self([], [], null, []);
    }

    public function next(): int
    {
        return $this->generations === [] ? 1 : max(array_keys($this->generations)) + 1;
    }

    public static function of(Listing $listing): self
    {
        [$documents, $chain] = [[], null];
        foreach ($listing->files() as $file) {
            if ($file->folder === 'ascmhl' && $file->refused === null) {
                if (preg_match(self::GENERATION, $file->name, $m) === 1) {
                    $documents[(int) $m[1]] = $file;
                } elseif (ChecksumList::isChain($file->path())) {
                    $chain = $file;
                }
            }
        }
        ksort($documents);
        $texts = array_map(static fn (ListedFile $file): string => self::text($listing, $file), $documents);
        $sums = [];
        foreach ($texts as $text) {
            foreach (Manifest::read($text) as $sum) {
                $sums[$sum->path] ??= [$sum->algorithm->value, $sum->sum];
            }
        }
        $names = array_map(static fn (ListedFile $file): string => $file->name, $documents);
        $chainText = $chain === null ? null : self::text($listing, $chain);
        $faults = $names === [] ? [] : self::faults($names, $texts, $chainText);

        return new self($names, $sums, $chainText, $faults);
    }

    private static function text(Listing $listing, ListedFile $file): string
    {
        $source = $listing->open($file);

        return $source->read(0, min($source->size(), ChecksumList::LARGEST));
    }

    /**
     * @param  array<int, string>  $names
     * @param  array<int, string>  $texts
     * @return list<string>
     */
    private static function faults(array $names, array $texts, ?string $chain): array
    {
        if ($chain === null) {
            return ['The chain of the media hash lists, ascmhl/ascmhl_chain.xml, is missing.'];
        }
        $held = self::chained($chain);
        $faults = [];
        foreach ($names as $number => $name) {
            $id = $held[$name] ?? null;
            unset($held[$name]);
            if ($id === null) {
                $faults[] = 'The media hash list “'.Text::shown($name).'” is not in the chain.';
            } elseif ($id !== C4Id::ofText($texts[$number])) {
                $faults[] = 'The media hash list “'.Text::shown($name).'” was changed after it was written.';
            }
        }
        foreach (array_keys($held) as $name) {
            $faults[] = 'The media hash list “'.Text::shown((string) $name).'” is in the chain, and not there.';
        }

        return $faults;
    }

    /** @return array<array-key, string> C4 identifiers by the document's name */
    private static function chained(string $chain): array
    {
        $xml = new \XMLReader;
        $held = [];
        $path = null;
        if (! @$xml->XML($chain, null, LIBXML_NONET | LIBXML_NOERROR | LIBXML_NOWARNING)) {
            return [];
        }
        while (@$xml->read()) {
            if ($xml->nodeType !== \XMLReader::ELEMENT) {
                continue;
            }
            if ($xml->localName === 'path') {
                $path = $xml->readString();
            } elseif ($xml->localName === 'c4' && $path !== null) {
                $held[$path] = trim($xml->readString());
                $path = null;
            }
        }

        return $held;
    }
}
