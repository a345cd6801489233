<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use PlainLedger\Core\Delivery\ChecksumList;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\RenderLog\LogReader;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\CsvReport;
use PlainLedger\Core\Report\JsonReport;
use PlainLedger\Core\Report\JunitReport;
use PlainLedger\Core\Report\Sheet\SheetText;
use PlainLedger\Core\Report\TextReport;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Shotlist\Readers\CsvTable;
use PlainLedger\Core\Shotlist\Readers\Timeline;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\PlainSentence;

/**
 * Inputs that nobody meant: files with bytes changed, documents with strange values and names. Whatever comes, it ends
 * in a value or a plain sentence. Each is made of its number alone, so that one that failed can be made again.
 */
final readonly class Fuzzer
{
    /** What stands where a value is expected. */
    private const STRANGE = [
        '', ' ', '0', '-0', '-1', '0-0', '1-0', '1/0', '0/0', '1/99999999999999999999', '99999999999999999999999',
        '-99999999999999999999', '1e-21', '1e21', '1e400', '0.1e-99', 'NaN', 'INF', '1-999999999999',
        '1-100x0', '1-100x-3', '1,2,3,', '--', '1x1', '0x0', '99999999x99999999', '1920x', 'x1080', '16:0', '0:9',
        '100%', '-5 %', '1e3 GB', 'none', 'any', 'null', 'true', "\0", "a\0b", "\u{FEFF}24", "\xFF\xFE", "\xE9t\xE9",
        '../../etc', '{frame', '{frame:99}', '{}', '{5}', '{frame}{frame}', '{shot}.{frame:4}.{ext}', '####', '%04d',
        '%999999999d', '<b>', '"', '\\', "a\nb", '𝟙𝟚', '२४', '24,5', '1 000', '01:00:00:99', '99:99:99:99', '1-10|20',
        '5 to 8', '8 to 5 Mbit/s', '< 3', '>= -1', 'timeline', '()',
    ];

    /** What documents are called by where names are expected. */
    private const NAMES = [
        '5', '0', '-1', '', ' ', 'a', '7.5', '1e3', 'time.range', 'other.5', 'other.', 'other.x', 'value', 'min',
        'level', "\0", 'é', '__proto__', '10',
    ];

    /** @var list<string> */
    private array $ids;

    /** @param  list<string>  $files  whole ones, to be changed */
    public function __construct(private array $files)
    {
        $this->ids = array_map(static fn ($d): string => $d->id, Catalogue::standard()->all());
    }

    /** @return list<string> files of every kind that is read here */
    public static function samples(): array
    {
        $samples = [
            Workbench::png(),
            Workbench::png(16, 9, 'RGBA', 16),
            Workbench::exr(),
            Workbench::exr(20, 20, compression: 'zips'),
            Workbench::exr(20, 20, compression: 'none', half: false),
        ];
        foreach (glob(
            dirname(__DIR__, 2).'/fixtures/{encoders,exr,stills}/*.{png,jpg,jpeg,exr,tif,tga,dpx,bmp,webp,wav,mp4,mov}',
            GLOB_BRACE,
        ) ?: [] as $path) {
            if (filesize($path) < 200_000) {
                $samples[] = (string) file_get_contents($path);
            }
        }

        return $samples;
    }

    /**
     * @return string|null what broke, with where; null where it was taken or refused plainly
     */
    public function one(int $number): ?string
    {
        mt_srand($number);
        [$what, $work] = match ($number % 8) {
            0, 1, 2 => ['a file', $this->file(...)],
            3, 4 => ['a specification', $this->documents(...)],
            5 => ['settings', $this->scene(...)],
            6 => ['a list or timeline', $this->lists(...)],
            default => ['a log or checksums', $this->lines(...)],
        };
        set_error_handler(static function (int $level, string $message, string $file, int $line): bool {
            // what is silenced on purpose stays so
            return (error_reporting() & $level) === 0
                ? true
                : throw new \ErrorException($message, 0, $level, $file, $line);
        });
        try {
            $work();
        } catch (PlainSentence) {
            return null;
        } catch (\Throwable $fault) {
            return "{$number}, {$what}: {$fault->getMessage()} (".self::where($fault).')';
        } finally {
            restore_error_handler();
        }

        return null;
    }

    /** The lines of our own that it went through, the innermost first. */
    private static function where(\Throwable $fault): string
    {
        $lines = [
            [$fault->getFile(), $fault->getLine()],
            ...array_map(static fn (array $f): array => [$f['file'] ?? '', $f['line'] ?? 0], $fault->getTrace()),
        ];
        $own = array_filter(
            $lines,
            static fn (array $l): bool => str_contains($l[0], '/core/') && ! str_contains($l[0], '/vendor/'),
        );

        return implode(
            ' < ',
            array_map(static fn (array $l): string => basename($l[0]).":{$l[1]}", array_slice($own, 0, 3)),
        );
    }

    /** @param  non-empty-list<mixed>  $of */
    private static function pick(array $of): mixed
    {
        return $of[mt_rand(0, count($of) - 1)];
    }

    /** Some bytes are others, a piece is gone, doubled, or all zeros. */
    public static function changed(string $bytes): string
    {
        for ($times = mt_rand(1, 6); $times > 0 && $bytes !== ''; $times--) {
            $at = mt_rand(0, 3) === 0 ? mt_rand(0, strlen($bytes) - 1) : min(strlen($bytes) - 1, mt_rand(0, 400));
            $length = mt_rand(1, 8);
            $bytes = match (mt_rand(0, 6)) {
                0 => substr_replace($bytes, chr(mt_rand(0, 255)), $at, 1),
                1 => substr_replace(
                    $bytes,
                    self::pick(["\xFF\xFF\xFF\xFF", "\0\0\0\0", "\x7F\xFF\xFF\xFF", "\xFF\xFF\xFF\x7F", "\x80\0\0\0"]),
                    $at,
                    4,
                ),
                2 => substr($bytes, 0, $at),
                3 => substr_replace($bytes, '', $at, $length),
                4 => substr_replace($bytes, str_repeat(substr($bytes, $at, $length), mt_rand(2, 50)), $at, $length),
                5 => substr_replace($bytes, str_repeat("\0", $length), $at, $length),
                default => $bytes.substr($bytes, 0, $at),
            };
        }

        return $bytes;
    }

    private function file(): void
    {
        $bytes = self::changed(self::pick($this->files));
        $source = new StringSource($bytes);
        foreach ([ScanDepth::Quick, ScanDepth::Full] as $depth) {
            $facts = Probe::standard()->read($source, $depth);
        }
        json_encode($facts->toArray('a', true, strlen($bytes)), JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
        $decoder = PictureDecoder::standard();
        // larger ones are another test's matter, and take their time
        if (
            $facts->kind !== null
            && $facts->isWhole()
            && $decoder->decodes($facts->kind)
            && ($facts->picture->width ?? 0) * ($facts->picture->height ?? 0) < 100_000
        ) {
            @$decoder->decode($source, $facts)->thumbnail(32);
        }
    }

    private function value(int $deep = 0): mixed
    {
        return match (mt_rand(0, $deep > 2 ? 5 : 8)) {
            0, 1, 2, 3 => self::pick(self::STRANGE),
            4 => self::pick([0, -1, 1, PHP_INT_MAX, PHP_INT_MIN, 1e300, -1e-300, 0.5]),
            5 => self::pick([null, true, false]),
            6 => array_map(fn (): mixed => $this->value($deep + 1), range(1, mt_rand(1, 3))),
            default => $this->object($deep + 1),
        };
    }

    /** @return array<array-key, mixed> */
    private function object(int $deep): array
    {
        $object = [];
        for ($n = mt_rand(0, 3); $n > 0; $n--) {
            $object[mt_rand(0, 2) === 0 ? self::pick($this->ids) : self::pick(self::NAMES)] = $this->value($deep);
        }

        return $object;
    }

    /** @return array<array-key, mixed> */
    private function require(): array
    {
        $require = $this->object(1);
        for ($n = mt_rand(0, 6); $n > 0; $n--) {
            $id = self::pick($this->ids);
            $require[$id === 'other' ? 'other.x' : $id] = $this->value(1);
        }

        return $require;
    }

    private function documents(): void
    {
        $data = [
            'format' => Specification::FORMAT,
            'version' => 1,
            'require' => $this->require(),
            'values' => $this->object(2),
            'starting_values' => mt_rand(0, 3) === 0 ? $this->require() : [],
        ];
        $data += mt_rand(0, 2) === 0
            ? [
                'parts' => [
                    ['name' => self::pick(self::NAMES), 'delivers' => 'frames', 'require' => $this->require()],
                    [
                        'name' => 'b',
                        'delivers' => 'movie',
                        'made_from' => self::pick(self::NAMES),
                        'require' => $this->require(),
                    ],
                ],
            ]
            : ['delivers' => self::pick(['frames', 'still', 'movie', 'file'])];
        // as it would be brought: what is no text there is none here
        /** @var array<string, mixed> $data */
        $data = json_decode(
            (string) json_encode($data, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR),
            true,
        );
        $draft = Specification::draft(new Layer(SetBy::Specification, $data, 'fuzz'));
        Proofreader::standard()->read($draft);
        (new SheetText)->write($draft->specification);
        $scene = mt_rand(0, 1) === 0
            ? null
            : (new DetectingReader)->read(
                (string) json_encode(
                    [
                        'format' => 'plain-ledger/scene',
                        'version' => 1,
                        'settings' => $this->require(),
                        'scene' => $this->object(2),
                    ],
                    JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR,
                ),
                'fuzz',
            );
        $account = CheckReport::of(
            $draft->specification,
            $scene,
            $scene === null || mt_rand(0, 1) === 0
                ? (new Scan($this->delivered(), Probe::standard()))->run(Workbench::NOW)
                : null,
        );
        foreach ([new JsonReport, new TextReport, new CsvReport, new JunitReport] as $writer) {
            $writer->write($account);
        }
        Specification::fromDocument(JsonDocument::parse((string) json_encode($data), 'fuzz', Specification::FORMAT));
    }

    private function delivered(): Listing
    {
        $names = [
            'a.0001.png', 'a.0002.png', 'a.0004.png', '5.png', "\xE9t\xE9.0001.png", 'b 1.exr', '0001', '-', 'x..png',
            '.0001.png', 'é.mp4',
        ];
        $contents = [];
        foreach ($names as $name) {
            if (mt_rand(0, 1) === 0) {
                $contents[(string) self::pick(['', '5', 'x/y'])."\t{$name}"] = mt_rand(0, 4) === 0
                    ? self::changed(self::pick($this->files))
                    : self::pick($this->files);
            }
        }

        return new class($contents) implements Listing
        {
            /** @param  array<string, string>  $contents */
            public function __construct(private array $contents) {}

            public function files(): iterable
            {
                foreach ($this->contents as $place => $bytes) {
                    [$folder, $name] = explode("\t", $place);
                    yield new ListedFile($folder, $name, strlen($bytes), Workbench::NOW - 1000);
                }
            }

            public function mayGrow(): bool
            {

                return true;

            }

            public function root(): string
            {
                return 'fuzz';
            }

            public function open(ListedFile $file): ByteSource
            {
                return new StringSource($this->contents["{$file->folder}\t{$file->name}"]);
            }

            public function again(ListedFile $file): ListedFile
            {
                return $file;
            }
        };
    }

    private function scene(): void
    {
        $plain = static fn (mixed $value): string => is_scalar($value)
            ? (string) $value
            : (string) json_encode($value, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR);
        $pairs = $this->require();
        $text = match (mt_rand(0, 5)) {
            0 => (string) json_encode($pairs, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR),
            1 => implode(
                "\n",
                array_map(
                    static fn (string $k, mixed $v): string => "{$k} = {$plain($v)}",
                    array_map(strval(...), array_keys($pairs)),
                    $pairs,
                ),
            ),
            2 => implode(
                "\n",
                ['scene,'.implode(',', array_keys($pairs)), 'TC_010,'.implode(',', array_map($plain, $pairs))],
            ),
            3 => (string) json_encode(
                [
                    'format' => 'plain-ledger/scene', 'version' => 1, 'settings' => $pairs, 'passes' => $this->value(),
                    'outputs' => $this->value(), 'scene' => $this->value(),
                ],
                JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR,
            ),
            4 => "#usda 1.0\n(\n framesPerSecond = {$plain(self::pick(self::STRANGE))}\n)\ndef RenderSettings "
                ."\"{$plain(self::pick(self::STRANGE))}\"\n{\n uniform int2 resolution = "
                ."({$plain(self::pick(self::STRANGE))}, 5)\n}\n",
            default => self::changed(
                "#usda 1.0\n(\n    endTimeCode = 96\n    startTimeCode = 1\n)\ndef Scope \"Render\"\n{\n    def "
                    ."RenderSettings \"main\"\n    {\n        uniform int2 resolution = (64, 36)\n        rel "
                    ."camera = </cam_quay>\n    }\n}\ndef Camera \"cam_quay\"\n{\n}\n",
            ),
        };
        if (mt_rand(0, 3) === 0) {
            $text = self::changed($text);
        }
        foreach ((new DetectingReader)->scenes($text, 'fuzz', FieldMap::none()) as $told) {
            CheckReport::of(
                Workbench::specification(
                    [
                        'time.range' => '1-3',
                        'picture.resolution' => '64x36',
                        'format.kind' => 'png',
                        'naming.pattern' => 'a.{frame:4}.{ext}',
                        'passes' => ['a', '5'],
                    ],
                ),
                (new DetectingReader)->read($told->content, 'fuzz'),
                null,
            );
        }
    }

    private function lists(): void
    {
        $cells = static fn (): string => implode(
            self::pick([',', ';', "\t"]),
            array_map(static fn (): string => (string) self::pick(self::STRANGE), range(1, mt_rand(1, 6))),
        );
        $text = mt_rand(0, 1) === 0
            ? "code,range,handles,camera\n".implode("\n", array_map($cells, range(1, mt_rand(1, 5))))
            : (string) json_encode(
                [
                    'OTIO_SCHEMA' => 'Timeline.1',
                    'tracks' => [
                        'OTIO_SCHEMA' => 'Stack.1',
                        'children' => [
                            [
                                'OTIO_SCHEMA' => 'Track.1',
                                'children' => [
                                    [
                                        'OTIO_SCHEMA' => 'Clip.2',
                                        'name' => self::pick(self::STRANGE),
                                        'source_range' => $this->value(),
                                    ],
                                    $this->value(),
                                ],
                            ],
                        ],
                    ],
                ],
                JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR,
            );
        $text = mt_rand(0, 3) === 0 ? self::changed($text) : $text;
        if (preg_match('~^\s*[{\[]~', $text) === 1) {
            Timeline::read($text, 'fuzz');
        } else {
            CsvTable::read($text, 'fuzz');
        }
    }

    private function lines(): void
    {
        $line = static fn (): string => self::pick(['Frame ', 'frame=', 'Saved: ', 'ERROR ', '[12:00:01] ', ''])
            .self::pick(self::STRANGE).self::pick([' done in ', ' of ', ' Time: ', ': '])
            .self::pick(self::STRANGE);
        $text = implode(self::pick(["\n", "\r\n", "\r"]), array_map($line, range(1, mt_rand(1, 30))));
        $shape = LogReader::guess($text, LogShape::standard()) ?? LogShape::standard()[0];
        $reader = new LogReader($shape);
        $reader->feed($text);
        $reader->close();
        ChecksumList::read(
            new StringSource(self::changed(str_repeat('a', 64)."  a.0001.png\n{$text}")),
            (string) self::pick(['', 'x', '..']),
        );
    }
}
