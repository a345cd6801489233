<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

use PlainLedger\Core\Checksums\C4Id;
use PlainLedger\Core\Checksums\SumAlgorithm;

/** The next generation of a media hash list (ASC MHL 2.0), and the chain that it is added to. */
final readonly class MhlGeneration
{
    private const LIST = 'urn:ASC:MHL:v2.0';

    /** The algorithms that such a document has a place for. */
    public const ALGORITHMS = [
        SumAlgorithm::Xxh64, SumAlgorithm::Xxh3, SumAlgorithm::Xxh128, SumAlgorithm::Md5, SumAlgorithm::Sha1,
    ];

    private const CHAIN = 'urn:ASC:MHL:DIRECTORY:v2.0';

    private const TOOL = 'plain-ledger';

    /** What is left out of every list. */
    private const IGNORED = ['.DS_Store', '._*', 'Thumbs.db', 'desktop.ini', '__MACOSX/', 'ascmhl', 'ascmhl/'];

    /**
     * @param  string  $root  the name of the delivery's folder
     * @param  string  $author  empty: nobody is named
     * @param  string  $host  the machine's name
     */
    public function __construct(
        private Seal $seal,
        private MhlHistory $history,
        private string $root,
        private \DateTimeImmutable $at,
        private string $author = '',
        private string $host = 'localhost',
    ) {}

    public function name(): string
    {
        $root = trim((string) preg_replace('~[^\p{L}\p{N}._-]+~u', '_', mb_scrub($this->root)), '_');

        return sprintf('%04d_%s_%s.mhl', $this->history->next(), $root === '' ? 'delivery' : $root, $this->at
            ->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d_His\Z'));
    }

    /** @return list<string> files whose bytes are others than an earlier generation has them */
    public function failed(): array
    {
        $failed = [];
        foreach ($this->seal->files as $file) {
            if ($this->action($file) === 'failed') {
                $failed[] = $file->path;
            }
        }

        return $failed;
    }

    public function document(): string
    {
        $xml = self::begun();
        $xml->startElement('hashlist');
        $xml->writeAttribute('version', '2.0');
        $xml->writeAttribute('xmlns', self::LIST);
        $this->creator($xml);
        $main = $this->seal->algorithms[0];
        $folders = DirectorySums::of($this->seal->sums($main), $main)->folders;
        $this->process($xml, $main, $folders[''] ?? null);
        $xml->startElement('hashes');
        foreach ($this->seal->files as $file) {
            $this->file($xml, $file);
        }
        foreach ($folders as $path => $sums) {
            if ($path !== '') {
                $this->folder($xml, (string) $path, $main, $sums);
            }
        }
        $xml->endElement();
        $xml->endElement();
        $xml->endDocument();

        return $xml->outputMemory();
    }

    /** The chain with this generation's document behind those that are in it. */
    public function chain(string $document): string
    {
        $entry = sprintf(
            "  <hashlist sequencenr=\"%d\">\n    <path>%s</path>\n    <c4>%s</c4>\n  </hashlist>\n",
            $this->history->next(),
            htmlspecialchars($this->name(), ENT_XML1),
            C4Id::ofText($document),
        );
        $end = '</ascmhldirectory>';
        $before = $this->history->chain;
        if ($before !== null && str_contains($before, $end)) {
            return substr_replace($before, $entry.$end, (int) strrpos($before, $end), strlen($end));
        }

        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n".'<ascmhldirectory xmlns="'.self::CHAIN
            ."\">\n{$entry}{$end}\n";
    }

    private static function begun(): \XMLWriter
    {
        $xml = new \XMLWriter;
        $xml->openMemory();
        $xml->setIndent(true);
        $xml->setIndentString('  ');
        $xml->startDocument('1.0', 'UTF-8');

        return $xml;
    }

    private function creator(\XMLWriter $xml): void
    {
        $xml->startElement('creatorinfo');
        $xml->writeElement('creationdate', $this->at->format('Y-m-d\TH:i:sP'));
        $xml->writeElement('hostname', $this->host);
        $xml->startElement('tool');
        $xml->writeAttribute('version', '1.0');
        $xml->text(self::TOOL);
        $xml->endElement();
        if ($this->author !== '') {
            $xml->startElement('author');
            $xml->writeElement('name', mb_scrub($this->author));
            $xml->endElement();
        }
        $xml->endElement();
    }

    /** @param  array{string, string}|null  $root */
    private function process(\XMLWriter $xml, SumAlgorithm $main, ?array $root): void
    {
        $xml->startElement('processinfo');
        $xml->writeElement('process', 'in-place');
        if ($root !== null) {
            $xml->startElement('roothash');
            $this->pair($xml, $main, $root);
            $xml->endElement();
        }
        $xml->startElement('ignore');
        foreach (self::IGNORED as $pattern) {
            $xml->writeElement('pattern', $pattern);
        }
        $xml->endElement();
        $xml->endElement();
    }

    private function file(\XMLWriter $xml, SealedFile $file): void
    {
        $xml->startElement('hash');
        $xml->startElement('path');
        $xml->writeAttribute('size', (string) $file->size);
        $xml->writeAttribute('lastmodificationdate', gmdate('Y-m-d\TH:i:s+00:00', $file->modified));
        $xml->text(mb_scrub($file->path));
        $xml->endElement();
        foreach ($file->sums as $algorithm => $sum) {
            $xml->startElement($algorithm);
            $xml->writeAttribute('action', $this->action($file, $algorithm));
            $xml->writeAttribute('hashdate', $this->at->format('Y-m-d\TH:i:sP'));
            $xml->text($sum);
            $xml->endElement();
        }
        $xml->endElement();
    }

    /** @param  array{string, string}  $sums */
    private function folder(\XMLWriter $xml, string $path, SumAlgorithm $main, array $sums): void
    {
        $xml->startElement('directoryhash');
        $xml->writeElement('path', mb_scrub($path));
        $this->pair($xml, $main, $sums);
        $xml->endElement();
    }

    /** @param  array{string, string}  $sums */
    private function pair(\XMLWriter $xml, SumAlgorithm $main, array $sums): void
    {
        foreach (['content', 'structure'] as $at => $name) {
            $xml->startElement($name);
            $xml->startElement($main->value);
            $xml->writeAttribute('hashdate', $this->at->format('Y-m-d\TH:i:sP'));
            $xml->text($sums[$at]);
            $xml->endElement();
            $xml->endElement();
        }
    }

    /** What this sum of a file is beside the earlier generations' first one. */
    private function action(SealedFile $file, ?string $algorithm = null): string
    {
        $first = $this->history->sums[$file->path] ?? null;
        if ($first === null) {
            return 'original';
        }
        $own = $file->sums[$first[0]] ?? null;
        if ($own !== null && $own !== $first[1]) {
            return 'failed';
        }

        return $algorithm === null || $algorithm === $first[0] ? 'verified' : 'new';
    }
}
