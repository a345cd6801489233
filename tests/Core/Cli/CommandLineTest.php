<?php

declare(strict_types=1);

namespace Tests\Core\Cli;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Submission\RecordKey;
use PlainLedger\Core\Submission\SubmissionRecord;
use Tests\Core\Support\RunsProgram;
use Tests\Core\Support\Workbench;

/** The console program as people and machines call it. */
final class CommandLineTest extends TestCase
{
    use RunsProgram;

    private Workbench $bench;

    protected function setUp(): void
    {
        $this->bench = new Workbench;
    }

    /** @param  array<string, mixed>  $more */
    private function specification(array $more = []): string
    {
        $this->bench->put('spec.json', (string) json_encode($more + [
            'format' => 'plain-ledger/specification',
            'version' => 1,
            'title' => 'Tide Clock, lit frames',
            'delivers' => 'frames',
            'values' => ['shot' => 'TC_010'],
            'require' => [
                'picture.resolution' => '64x36',
                'time.rate' => '24',
                'time.range' => '1-6',
                'format.kind' => 'png',
                'naming.pattern' => '{shot}.{frame:4}.{ext}',
                'content.whole' => 'yes',
                'render.samples' => ['min' => 128, 'level' => 'should'],
            ],
        ]));

        return 'spec.json';
    }

    public function test_a_check_of_very_many_strays_is_read_again(): void
    {
        $check = [
            'format' => 'plain-ledger/check', 'version' => 1, 'verdict' => 'balanced', 'entries' => [],
            'sequences' => [], 'fixes' => [], 'strays' => array_fill(0, 60_000, str_repeat('somewhere/', 9)),
        ];
        $this->bench->put('a.json', (string) json_encode($check));
        self::assertGreaterThan(5_000_000, filesize("{$this->bench->folder}/a.json"));
        self::assertSame([0, "Nothing has changed.\n", ''], $this->run_(['compare', 'a.json', 'a.json']));
        // a specification is never as large
        self::assertSame(3, $this->run_(['check', '--spec', 'a.json', '--files', '.'])[0]);
    }

    public function test_several_processes_come_to_the_same_as_one(): void
    {
        $bench = (new Workbench)->frames('v1/TC_010.%04d.png', '1-700', Workbench::png())
            ->frames('v1/other.%04d.png', '1-90', Workbench::png(32, 32));
        foreach ([17, 300, 650] as $frame) {
            $bench->put(sprintf('v1/TC_010.%04d.png', $frame), substr(Workbench::png(), 0, 70));
        }
        $spec = $this->specification(['require' => [
            'time.range' => '1-710', 'content.whole' => 'yes', 'content.black' => 'none',
            'picture.resolution' => '64x36',
            'naming.pattern' => '{shot}.{frame:4}.{ext}',
        ]]);
        $check = fn (string $jobs): array => $this->run_(
            ['check', '--spec', $spec, '--files', "{$bench->folder}/v1", '--format', 'json', '--jobs', $jobs],
        );
        $alone = $check('1');
        self::assertSame(1, $alone[0]);
        self::assertStringContainsString('"damaged": "17,300,650"', $alone[1]);
        self::assertStringContainsString('"missing": "701-710"', $alone[1]);
        foreach (['2', '3', '7'] as $jobs) {
            self::assertSame($alone, $check($jobs), "{$jobs} processes");
        }
        foreach (['0', '-1', 'two', '99', ''] as $jobs) {
            self::assertSame(3, $check($jobs)[0], "“{$jobs}”");
        }
    }

    public function test_balanced_is_0(): void
    {
        $this->bench->frames('d/TC_010.%04d.png', '1-6', Workbench::png());
        [$code, $output, $errors] = $this->run_(['check', '--spec', $this->specification(), '--files', 'd']);

        self::assertSame([0, ''], [$code, $errors]);
        self::assertStringContainsString('5 of 5 balance: balanced.', $output);
        self::assertStringContainsString('  - time.rate: PNG files do not tell it', $output);
    }

    public function test_a_scene_in_other_forms(): void
    {
        $usd = "#usda 1.0\n(framesPerSecond = 24 startTimeCode = 1 endTimeCode = 6)\ndef RenderSettings \"r\" { "
            .'uniform int2 resolution = (64, 36) rel products = </r/p> def RenderProduct "p" { token productName '
            ."= \"TC_010.####.png\" } }\n";
        $text = "size = 64x36\nfps = 24\nframes = 1-6\noutput = TC_010.####.png\n";
        foreach (['scene.usda' => $usd, 'scene.txt' => $text] as $name => $content) {
            $this->bench->put($name, $content);
            [$code, $output, $errors] = $this->run_(
                [
                    'check',
                    '--spec',
                    $this->specification(
                        [
                            'require' => [
                                'picture.resolution' => '64x36',
                                'time.rate' => '24',
                                'time.range' => '1-6',
                                'format.kind' => 'png',
                                'naming.pattern' => '{shot}.{frame:4}.{ext}',
                            ],
                        ],
                    ),
                    '--scene',
                    $name,
                ],
            );
            self::assertSame([0, ''], [$code, $errors], "{$name}: {$output}");
        }
        [$code, , $errors] = $this->run_(['check', '--spec', $this->specification(), '--scene', 'nowhere.usda']);
        self::assertSame(3, $code);
        self::assertStringContainsString('there is no such file', $errors);
    }

    public function test_unbalanced_is_1_and_says_why_and_what_to_do(): void
    {
        $this->bench->frames('d/TC_010.%04d.png', '1-4', Workbench::png())->put('d/notes.txt', 'x');
        [$code, $output] = $this->run_(['check', '--spec', $this->specification(), '--files', 'd']);

        self::assertSame(1, $code);
        self::assertStringContainsString('The render stopped after frame 4: 2 frames are missing.', $output);
        self::assertStringContainsString('render-stopped, seen in the files; explains time.range', $output);
        self::assertStringContainsString('Render 5-6, 2 frames.', $output);
        self::assertStringContainsString('Belongs to nothing: notes.txt.', $output);
    }

    public function test_open_is_2(): void
    {
        $this->bench->put(
            'scene.json',
            '{"format": "plain-ledger/scene", "version": 1, "settings": {"picture.resolution": "64x36", '
                .'"strange.key": 4}}',
        );
        [$code, $output] = $this->run_(['check', '--spec', $this->specification(), '--scene', 'scene.json']);

        self::assertSame(2, $code);
        self::assertStringContainsString('Not understood: strange.key.', $output);
    }

    /** @return iterable<string, array{list<string>, string, array<string, string>}> */
    public static function unusable(): iterable
    {
        yield 'nothing to check' => [['check', '--spec', 'spec.json'], 'nothing to check', []];
        yield 'no specification' => [['check', '--files', '.'], '--spec FILE is needed', []];
        yield 'a missing file' => [
            ['check', '--spec', 'nowhere.json', '--files', '.'],
            'nowhere.json: there is no such file.',
            [],
        ];
        yield 'a folder for a file' => [['check', '--spec', '.', '--files', '.'], 'this is a folder', []];
        yield 'a missing folder' => [['check', '--spec', 'spec.json', '--files', 'nowhere'], 'nowhere', []];
        yield 'broken JSON' => [
            ['check', '--spec', 'bad.json', '--files', '.'],
            'bad.json: line 2, column 7:',
            ['bad.json' => "{\"a\": 1,\n \"b\": }"],
        ];
        yield 'cut short' => [
            ['check', '--spec', 'bad.json', '--files', '.'],
            'cut short',
            ['bad.json' => '{"format": "plain-led'],
        ];
        yield 'another format' => [
            ['check', '--spec', 'bad.json', '--files', '.'],
            'its format is “a/b”',
            ['bad.json' => '{"format": "a/b", "version": 1}'],
        ];
        yield 'another version' => [
            ['check', '--spec', 'bad.json', '--files', '.'],
            'version 2',
            ['bad.json' => '{"format": "plain-ledger/specification", "version": 2}'],
        ];
        yield 'wrong types' => [
            ['check', '--spec', 'bad.json', '--files', '.'],
            '"require" must be an object',
            ['bad.json' => '{"format": "plain-ledger/specification", "version": 1, "require": 3}'],
        ];
        yield 'a wrong value' => [
            ['check', '--spec', 'bad.json', '--files', '.'],
            '“time.range”',
            ['bad.json' => '{"format": "plain-ledger/specification", "version": 1, "require": {"time.range": "9-1"}}'],
        ];
        yield 'a scene that is none' => [
            ['check', '--spec', 'spec.json', '--scene', 'bad.json'],
            'bad.json: the file is empty.',
            ['bad.json' => ' '],
        ];
        yield 'an unknown format' => [
            ['check', '--spec', 'spec.json', '--files', '.', '--format', 'yaml'],
            '--format is',
            [],
        ];
        yield 'an unknown option' => [['check', '--what'], 'does not exist', []];
        yield 'an unknown command' => [['chekc'], 'not defined', []];
        yield 'a command nearly right' => [['chek', '--spec', 'spec.json'], 'not defined', []];
        yield 'a part that there is not' => [
            ['check', '--spec', 'spec.json', '--scene', 'a.txt', '--part', 'sound'],
            '--part: there is no part “sound”',
            ['a.txt' => "fps = 24\n"],
        ];
        yield 'nothing to probe' => [['probe', 'nowhere.png'], 'nowhere.png', []];
    }

    /**
     * @param  list<string>  $arguments
     * @param  array<string, string>  $files
     */
    #[DataProvider('unusable')]
    public function test_what_cannot_be_used_is_3_with_one_plain_line(
        array $arguments,
        string $says,
        array $files,
    ): void {
        $this->specification();
        foreach ($files as $name => $content) {
            $this->bench->put($name, $content);
        }
        [$code, $output, $errors] = $this->run_($arguments);

        self::assertSame([3, ''], [$code, $output]);
        self::assertStringContainsString($says, $errors);
        self::assertSame(1, substr_count($errors, "\n"), $errors);
        self::assertStringNotContainsString('#0', $errors);
        self::assertStringNotContainsString('.php', $errors);
    }

    public function test_a_pipe_that_nobody_writes_to_hangs_nothing(): void
    {
        $spec = $this->specification();
        $this->bench->frames('d/TC_010.%04d.png', '1-6', Workbench::png());
        posix_mkfifo("{$this->bench->folder}/pipe.png", 0o600);
        posix_mkfifo("{$this->bench->folder}/d/notes.txt", 0o600);
        $began = microtime(true);
        foreach ([
            ['probe', 'pipe.png'],
            ['log', 'pipe.png'],
            ['check', '--spec', 'pipe.png', '--files', 'd'],
            ['check', '--spec', $spec, '--scene', 'pipe.png'],
            ['proofread', '--spec', 'pipe.png'],
        ] as $arguments) {
            [$code, , $errors] = $this->run_($arguments);
            self::assertSame(3, $code, implode(' ', $arguments));
            self::assertStringContainsString('it is no regular file', $errors);
        }
        [$code, $output] = $this->run_(['probe', 'd']);
        self::assertSame(0, $code);
        self::assertStringContainsString('d/notes.txt: 0 B, not whole', $output);
        // it is nobody's frame, and the frames are judged
        self::assertSame(0, $this->run_(['check', '--spec', $spec, '--files', 'd'])[0]);
        self::assertLessThan(10, microtime(true) - $began);
    }

    public function test_names_that_are_no_utf_8_are_read_and_told(): void
    {
        $spec = $this->specification(['require' => ['camera.name' => 'cam_été', 'picture.resolution' => '64x36']]);
        $this->bench->put(
            'a.usda',
            "#usda 1.0\ndef RenderSettings \"r\" { uniform int2 resolution = (64, 36) rel camera = </cam_\xE9t\xE9> "
                ."}\ndef Camera \"cam_\xE9t\xE9\" {}\n",
        );
        $this->bench->put('a.txt', "size = 64x36\ncamera = cam_\xE9t\xE9\n");
        foreach (['a.usda', 'a.txt'] as $scene) {
            [$code, $output] = $this->run_(['check', '--spec', $spec, '--scene', $scene]);
            self::assertSame(0, $code, $output);
            self::assertStringContainsString('Names in it are no UTF-8; they were read as Latin-1', $output);
        }
    }

    public function test_more_memory_than_there_is_ends_in_a_sentence(): void
    {
        $process = proc_open(
            [
                PHP_BINARY,
                '-r',
                'require "vendor/autoload.php"; (new ReflectionMethod(PlainLedger\Cli\Program::class, '
                    .'"main"))->invoke(null, ["x", "list"]); str_repeat("x", 2_000_000_000);',
            ],
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
            $pipes,
            dirname(__DIR__, 3),
        );
        self::assertIsResource($process);
        stream_get_contents($pipes[1]);
        $errors = (string) stream_get_contents($pipes[2]);

        self::assertSame(
            [3, "This takes more memory than there is for it, 1 GB. Check a folder further down.\n"],
            [proc_close($process), $errors],
        );
    }

    public function test_a_file_of_fifty_megabytes_is_turned_away_at_once(): void
    {
        $this->specification();
        $handle = fopen("{$this->bench->folder}/huge.json", 'wb');
        self::assertIsResource($handle);
        ftruncate($handle, 50_000_000);
        fclose($handle);
        [$code, , $errors] = $this->run_(['check', '--spec', 'huge.json', '--files', '.']);

        self::assertSame(3, $code);
        self::assertStringContainsString('it has 50 MB', $errors);
    }

    public function test_json_is_the_open_document_and_validates(): void
    {
        $this->bench->frames('d/TC-010.%03d.png', '1-4', Workbench::png(32, 18))
            ->put('d/notes.txt', 'x')
            ->put('d/TC-010.005.png', '');
        $this->bench->put(
            'scene.json',
            (string) json_encode(
                [
                    'format' => 'plain-ledger/scene',
                    'version' => 1,
                    'scene' => ['saved' => false],
                    'settings' => ['picture.resolution' => '64x36', 'picture.scale' => 50, 'time.rate' => 24],
                ],
            ),
        );
        [$code, $output] = $this->run_(
            ['check', '--spec', $this->specification(), '--scene', 'scene.json', '--files', 'd', '--format', 'json'],
        );
        $document = json_decode($output);

        self::assertSame(1, $code);
        $result = (new Validator)->validate(
            $document,
            (string) file_get_contents(dirname(__DIR__, 3).'/docs/schema/check.schema.json'),
        );
        self::assertTrue($result->isValid(), (string) $result->error());
        self::assertSame('unbalanced', $document->verdict);
        self::assertSame(
            ['1-6', '1-5', '5', '6', '', '1-6'],
            [
                $document->sequences[0]->expected, $document->sequences[0]->present, $document->sequences[0]->damaged,
                $document->sequences[0]->missing, $document->sequences[0]->extra, $document->sequences[0]->rerender,
            ],
        );
        // what is rendered again is not renamed first
        self::assertNotContains('rename', array_column($document->fixes, 'kind'));
        self::assertContains('set-aside', array_column($document->fixes, 'kind'));
        self::assertSame(['notes.txt'], $document->strays);
    }

    /** @return array{int, string, string} exit code, output, errors */
    private function fed(string $input, string ...$arguments): array
    {
        $process = proc_open(
            [PHP_BINARY, dirname(__DIR__, 3).'/bin/plain-ledger', ...$arguments],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
            $this->bench->folder,
        );
        self::assertIsResource($process);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $output = (string) stream_get_contents($pipes[1]);
        $errors = (string) stream_get_contents($pipes[2]);

        return [proc_close($process), $output, $errors];
    }

    public function test_standard_input_is_read_where_a_dash_stands(): void
    {
        $spec = $this->specification(['require' => ['picture.resolution' => '64x36', 'time.rate' => '24']]);
        self::assertSame(0, $this->fed("size = 64x36\nfps = 24\n", 'check', '--spec', $spec, '--scene', '-')[0]);
        [$code, $output] = $this->fed("size = 32x18\nfps = 24\n", 'check', '--spec', $spec, '--scene', '-');
        self::assertSame(1, $code);
        self::assertStringContainsString('32x18', $output);
        $this->bench->put('scene.txt', "size = 64x36\nfps = 24\n");
        self::assertSame(
            0,
            $this->fed(
                (string) file_get_contents("{$this->bench->folder}/{$spec}"),
                'check',
                '--spec',
                '-',
                '--scene',
                'scene.txt',
            )[0],
        );
        [$code, , $errors] = $this->fed('', 'check', '--spec', '-', '--scene', 'scene.txt');
        self::assertSame([3, 1], [$code, substr_count($errors, "\n")]);
    }

    public function test_a_scene_is_told_which_part_it_makes(): void
    {
        $spec = $this->specification(['require' => ['time.rate' => '24'], 'parts' => [
            [
                'name' => 'frames',
                'delivers' => 'frames',
                'require' => ['picture.resolution' => '64x36', 'naming.pattern' => '{shot}.{frame:4}.{ext}'],
            ],
            [
                'name' => 'preview',
                'delivers' => 'movie',
                'require' => ['picture.resolution' => '32x18', 'naming.pattern' => '{shot}.{ext}'],
            ],
        ]]);
        $this->bench->put('scene.txt', "size = 32x18\nfps = 24\n");
        self::assertSame(1, $this->run_(['check', '--spec', $spec, '--scene', 'scene.txt'])[0]);
        [$code, $output] = $this->run_(
            ['check', '--spec', $spec, '--scene', 'scene.txt', '--part', 'PREVIEW', '--format', 'json'],
        );
        self::assertSame([2, ['preview']], [$code, json_decode($output, true)['scene']['makes']]);
        self::assertStringContainsString(
            'which makes preview',
            $this->run_(['check', '--spec', $spec, '--scene', 'scene.txt', '--part', 'preview'])[1],
        );
    }

    public function test_approved_pictures_lie_beside_the_specification(): void
    {
        $this->bench->frames('d/TC_010.%04d.png', '1-6', Workbench::png())
            ->put('approved/3.png', Workbench::png())
            ->put('approved/other.png', Workbench::png(32, 18));
        $ask = fn (string $picture): string => $this->specification(
            [
                'require' => [
                    'time.range' => '1-6',
                    'naming.pattern' => '{shot}.{frame:4}.{ext}',
                    'content.reference' => [['frame' => 3, 'picture' => $picture]],
                ],
            ],
        );
        self::assertSame(0, $this->run_(['check', '--spec', $ask('approved/3.png'), '--files', 'd'])[0]);
        self::assertSame(1, $this->run_(['check', '--spec', $ask('approved/other.png'), '--files', 'd'])[0]);
        self::assertSame(2, $this->run_(['check', '--spec', $ask('approved/gone.png'), '--files', 'd'])[0]);
    }

    /** @return iterable<string, array{list<string>, list<string>}> */
    public static function helps(): iterable
    {
        yield 'all' => [['--help'], ['check']];
        $commands = [
            'check', 'tree', 'compare', 'rename', 'probe', 'proofread', 'sheet', 'scenes', 'log', 'pack',
        ];
        foreach ($commands as $command) {
            yield $command => [[$command, '--help'], ['bin/plain-ledger '.$command]];
        }
        yield 'what is needed is said to be' => [['check', '--help'], ['required', '--part', '--scene']];
    }

    /**
     * @param  list<string>  $arguments
     * @param  list<string>  $says
     */
    #[DataProvider('helps')]
    public function test_each_command_has_its_own_help(array $arguments, array $says): void
    {
        [$code, $output] = $this->run_($arguments);
        self::assertSame(0, $code);
        foreach ($says as $one) {
            self::assertStringContainsString($one, $output);
        }
    }

    public function test_junit_and_csv(): void
    {
        $this->bench->frames('d/TC_010.%04d.png', '1-4', Workbench::png());
        [, $xml] = $this->run_(['check', '--spec', $this->specification(), '--files', 'd', '--format', 'junit']);
        $suites = simplexml_load_string($xml);
        self::assertNotFalse($suites);
        self::assertSame(
            ['5', '1', '0'],
            [
                (string) $suites->testsuite['tests'],
                (string) $suites->testsuite['failures'],
                (string) $suites->testsuite['errors'],
            ],
        );
        self::assertStringContainsString('required 1-6, found 1-4', $xml);

        [, $csv] = $this->run_(['check', '--spec', $this->specification(), '--files', 'd', '--format', 'csv']);
        $rows = array_map(static fn (string $line): array => str_getcsv($line), array_filter(explode("\r\n", $csv)));
        self::assertSame(
            [
                'frames', 'time.range', 'Frame range', 'must', 'unequal', '1-6', '', '', '1-4', 'unequal',
                'render-stopped',
            ],
            $rows[2],
        );
    }

    public function test_full_reads_every_byte(): void
    {
        $png = Workbench::png();
        $broken = substr_replace($png, 'X', intdiv(strlen($png), 2), 1);
        $this->bench->frames('d/TC_010.%04d.png', '1-6', $png)->put('d/TC_010.0003.png', $broken);
        $call = ['check', '--spec', $this->specification(), '--files', 'd', '--format', 'json'];

        self::assertSame('balanced', json_decode($this->run_($call)[1])->verdict);
        $full = json_decode($this->run_([...$call, '--full'])[1]);
        self::assertSame(['full', 'unbalanced', '3'], [$full->depth, $full->verdict, $full->sequences[0]->damaged]);
        self::assertSame('checksum-fails', $full->causes[0]->id);
    }

    public function test_probe_prints_one_object_a_line_with_every_fact(): void
    {
        $this->bench->put('a/one.png', Workbench::png(density: [1000, 1100]))
            ->put('a/b/two.exr', Workbench::exr())
            ->put('a/empty.png', '')
            ->put("a/odd\nname.txt", 'x');
        [$code, $output, $errors] = $this->run_(['probe', '--json', 'a']);
        $lines = array_map(
            static fn (string $line): array => (array) json_decode($line, true),
            array_filter(explode("\n", $output)),
        );

        self::assertSame([0, ''], [$code, $errors]);
        self::assertSame(
            ['a/b/two.exr', 'a/empty.png', 'a/odd\x0Aname.txt', 'a/one.png'],
            array_column($lines, 'path'),
        );
        self::assertSame([
            'path', 'kind', 'extension_agrees', 'bytes', 'width', 'height', 'pixel_aspect', 'bit_depth', 'sample',
            'channels', 'alpha', 'compression', 'frame_rate', 'frame_count', 'duration', 'codec', 'chroma',
            'keyframe_interval_max', 'b_frames', 'b_frames_max', 'audio', 'complete', 'damage', 'header',
        ], array_keys($lines[0]));
        self::assertSame(
            ['11/10', true, null],
            [$lines[3]['pixel_aspect'], $lines[3]['complete'], $lines[3]['damage']],
        );
        self::assertSame(
            [null, false, 'the file is empty'],
            [$lines[1]['kind'], $lines[1]['complete'], $lines[1]['damage']],
        );

        [, $text] = $this->run_(['probe', 'a/one.png']);
        self::assertStringStartsWith('a/one.png: PNG, 64 × 36, pixels 11/10, 8-bit uint, RGB, deflate', $text);
    }

    public function test_proofread_is_0_where_all_agrees_and_1_where_not(): void
    {
        [$code, $output, $errors] = $this->run_(['proofread', '--spec', $this->specification()]);
        self::assertSame([0, "Nothing contradicts itself.\n", ''], [$code, $output, $errors]);

        [$code, $output] = $this->run_(
            [
                'proofread',
                '--spec',
                $this->specification(
                    ['require' => ['format.kind' => 'jpeg', 'format.alpha' => 'straight', 'fog.amount' => 2]],
                ),
            ],
        );
        self::assertSame(1, $code);
        self::assertStringContainsString("format.alpha, format.kind\n", $output);
        self::assertStringContainsString('    - ', $output);
        self::assertStringContainsString('not understood, and kept: fog.amount', $output);
    }

    public function test_proofread_as_json_names_the_requirements_and_the_changes(): void
    {
        [$code, $output] = $this->run_(
            [
                'proofread',
                '--json',
                '--spec',
                $this->specification(['require' => ['format.kind' => 'jpeg', 'format.alpha' => 'straight']]),
            ],
        );
        $found = json_decode($output, true);

        self::assertSame(1, $code);
        self::assertSame(['findings'], array_keys($found));
        self::assertSame(['requirements', 'part', 'says', 'offers'], array_keys($found['findings'][0]));
        self::assertEqualsCanonicalizing(['format.kind', 'format.alpha'], $found['findings'][0]['requirements']);
        self::assertSame(
            ['{"findings":[]}', 0],
            [
                trim($this->run_(['proofread', '--json', '--spec', $this->specification()])[1]),
                $this->run_(['proofread', '--json', '--spec', $this->specification()])[0],
            ],
        );
    }

    public function test_proofread_compares_several_with_each_other(): void
    {
        $one = (string) file_get_contents($this->bench->folder.'/'.$this->specification());
        $this->bench->put('one.json', $one)
            ->put('two.json', $one)
            ->put('three.json', str_replace('TC_010', 'TC_020', $one));
        [$code, $output] = $this->run_(['proofread', '--spec', 'one.json', '--spec', 'two.json']);
        self::assertSame(1, $code);
        self::assertStringContainsString('one.json and two.json would write the same path, TC_010.####.png.', $output);
        self::assertSame(0, $this->run_(['proofread', '--spec', 'one.json', '--spec', 'three.json'])[0]);
    }

    public function test_a_specification_that_cannot_be_read_is_3(): void
    {
        $this->bench->put('broken.json', '{"format": "plain-ledger/specification",')
            ->put('scene.json', '{"format": "plain-ledger/scene", "version": 1}')
            ->put(
                'absurd.json',
                (string) json_encode(['format' => 'plain-ledger/specification', 'version' => 1, 'parts' => 7]),
            );
        foreach ([
            ['proofread', '--spec', 'broken.json'],
            ['proofread', '--spec', 'scene.json'],
            ['proofread', '--spec', 'absurd.json'],
            ['proofread', '--spec', 'nowhere.json'],
            ['proofread'],
            ['sheet', '--spec', 'broken.json'],
            ['sheet'],
            ['sheet', '--spec', $this->specification(), '--format', 'poem'],
        ] as $call) {
            [$code, , $errors] = $this->run_($call);
            self::assertSame(3, $code, implode(' ', $call));
            self::assertNotSame('', $errors, implode(' ', $call));
            self::assertStringNotContainsString('Stack trace', $errors);
        }
    }

    public function test_the_sheet_in_every_form(): void
    {
        $spec = $this->specification();
        $starts = [
            'text' => 'Tide Clock, lit frames',
            'markdown' => '# Tide Clock, lit frames',
            'html' => '<!DOCTYPE html>',
            'usda' => '#usda 1.0',
            'pdf' => '%PDF-',
            'csv' => 'part,pass,id,requirement',
            'json' => '{',
        ];
        foreach ($starts as $format => $start) {
            [$code, $output, $errors] = $this->run_(['sheet', '--spec', $spec, '--format', $format]);
            self::assertSame([0, ''], [$code, $errors], $format);
            self::assertStringStartsWith($start, $output, $format);
        }
        self::assertSame(
            $this->run_(['sheet', '--spec', $spec])[1],
            $this->run_(['sheet', '--spec', $spec, '--format', 'text'])[1],
        );
    }

    public function test_the_document_it_writes_is_read_again_and_holds_to_its_schema(): void
    {
        $written = $this->run_(['sheet', '--spec', $this->specification(), '--format', 'json'])[1];
        $result = (new Validator)->validate(
            json_decode($written),
            (string) file_get_contents(dirname(__DIR__, 3).'/docs/schema/specification.schema.json'),
        );
        self::assertTrue($result->isValid(), (string) $result->error());
        $this->bench->put('again.json', $written);
        self::assertSame($written, $this->run_(['sheet', '--spec', 'again.json', '--format', 'json'])[1]);
    }

    public function test_a_specification_of_5000_facts_and_a_large_number_of_frames_is_no_trouble(): void
    {
        $require = ['time.range' => '1-1000000', 'naming.pattern' => '{shot}.{frame:7}.{ext}', 'format.kind' => 'png'];
        for ($n = 0; $n < 5000; $n++) {
            $require["other.fact_{$n}"] = "value {$n}";
        }
        $spec = $this->specification(['require' => $require]);
        self::assertSame(0, $this->run_(['proofread', '--spec', $spec])[0]);
        [$code, $output] = $this->run_(['sheet', '--spec', $spec, '--format', 'csv']);
        self::assertSame(0, $code);
        self::assertStringContainsString('other.fact_4999', $output);
    }

    public function test_many_scenes_in_one_go(): void
    {
        $spec = $this->specification();
        $this->bench->put('s/one.txt', "size = 64x36\nfps = 24\nframes = 1-6\noutput = out/TC_010.####.png\n")
            ->put(
                's/two.csv',
                "shot,size,fps,frames,output,Proben\nA,64x36,24,1-6,out/TC_010.####.png,64\n"
                    ."B,32x18,25,1-6,out/TC_010.####.png,256\n",
            )
            ->put('s/.hidden', 'x');
        $this->bench->put(
            'map.json',
            (string) json_encode(
                [
                    'format' => 'plain-ledger/field-map',
                    'version' => 1,
                    'fields' => [['name' => 'Proben', 'is' => 'render.samples']],
                ],
            ),
        );
        [$code, $output, $errors] = $this->run_(
            ['scenes', '--spec', $spec, '--map', 'map.json', 's', '--format', 'csv'],
        );
        self::assertSame([1, ''], [$code, $errors]);
        self::assertSame(
            [
                'scene,verdict,balance,of,first cause,says',
                's/one.txt,balanced,5,6,,',
                '"s/two.csv, line 2",balanced,5,6,draft-quality,"Samples are 64, and at least 128 are asked."',
            ],
            array_slice(explode("\r\n", $output), 0, 3),
        );
        self::assertStringContainsString('"s/two.csv, line 3",unbalanced,4,6,', $output);
        // one that cannot be used is told, and the others are checked all the same
        $this->bench->put('s/torn.json', '{"format": ');
        [$code, $output, $errors] = $this->run_(['scenes', '--spec', $spec, 's', '--format', 'json']);
        self::assertSame([3, 3], [$code, substr_count($output, "\n")]);
        self::assertStringStartsWith('s/torn.json: ', $errors);
        self::assertSame(
            ['s/one.txt', 'balanced'],
            array_map(
                static fn (string $k): mixed => (json_decode(explode("\n", $output)[0], true))[$k],
                ['scene_file', 'verdict'],
            ),
        );
        $zip = new \ZipArchive;
        $zip->open("{$this->bench->folder}/all.zip", \ZipArchive::CREATE);
        $zip->addFromString('in/one.txt', "size = 64x36\nfps = 24\nframes = 1-6\noutput = out/TC_010.####.png\n");
        $zip->close();
        self::assertSame(
            [0, "in/one.txt: balanced, 5 of 6 balance.\n", ''],
            $this->run_(['scenes', '--spec', $spec, 'all.zip']),
        );
        self::assertSame(3, $this->run_(['scenes', '--spec', $spec, 'nowhere'])[0]);
        self::assertSame(3, $this->run_(['check', '--spec', $spec, '--scene', 's/one.txt', '--map', 'spec.json'])[0]);
    }

    public function test_a_log_says_where_to_go_on(): void
    {
        $this->bench->put(
            'r.log',
            "frame 1 done in 60 s\nframe 2 done in 60 s\nframe 4 done in 60 s\nerror: machine 4 lost\n",
        )->put('own.log', "[1] ok 2000ms\n");
        [$code, $output] = $this->run_(['log', 'r.log', '--range', '1-6']);
        self::assertSame(
            [
                1,
                "3 of 6 frames finished.\nA frame takes 1 min; the middle one of 3.\nGo on from frame 3: render "
                    ."3,5-6.\nThat takes 3 min, 1 frame at a time.\nError: machine 4 lost\n",
            ],
            [$code, $output],
        );
        $json = json_decode($this->run_(['log', 'r.log', '--range', '1-2', '--json'])[1], true);
        self::assertSame(
            ['', null, '1-2,4', 60_000],
            [$json['left'], $json['resume'], $json['finished'], $json['median_ms']],
        );
        self::assertSame(2, $this->run_(['log', 'own.log', '--finished', '[{frame}] ok'])[0]);
        [$code, , $errors] = $this->run_(['log', 'own.log']);
        self::assertSame(3, $code);
        self::assertStringContainsString('no line tells of a frame', $errors);
        self::assertSame(3, $this->run_(['log', 'nowhere.log'])[0]);
        self::assertSame(3, $this->run_(['log', 'r.log', '--finished', '/^(a+)+$/'])[0]);
    }

    public function test_a_zip_and_one_file_are_checked_like_a_folder(): void
    {
        $this->bench->frames('in/TC_010.%04d.png', '1-6', Workbench::png(64, 36));
        $spec = $this->specification();
        $folder = $this->run_(['check', '--spec', $spec, '--files', 'in', '--format', 'json']);
        $zip = new \ZipArchive;
        $zip->open("{$this->bench->folder}/in.zip", \ZipArchive::CREATE);
        foreach (range(1, 6) as $frame) {
            $name = sprintf('TC_010.%04d.png', $frame);
            $zip->addFile("{$this->bench->folder}/in/{$name}", "in/{$name}");
        }
        $zip->close();

        self::assertSame($folder, $this->run_(['check', '--spec', $spec, '--files', 'in.zip', '--format', 'json']));
        self::assertCount(6, explode("\n", trim($this->run_(['probe', 'in.zip'])[1])));
        [$code, $one] = $this->run_(['check', '--spec', $spec, '--files', 'in/TC_010.0003.png', '--format', 'json']);
        self::assertSame([1, '3'], [$code, json_decode($one, true)['sequences'][0]['present']]);
        $this->bench->put('torn.zip', substr((string) file_get_contents("{$this->bench->folder}/in.zip"), 0, 900));
        [$code, , $says] = $this->run_(['check', '--spec', $spec, '--files', 'torn.zip']);
        self::assertSame(3, $code);
        self::assertStringContainsString('The archive “torn.zip” is not whole', $says);
    }

    public function test_a_tree_has_a_row_a_deliverable(): void
    {
        foreach (['TC_010', 'TC_020'] as $code) {
            $this->specification(['values' => ['shot' => $code], 'title' => '']);
            rename("{$this->bench->folder}/spec.json", "{$this->bench->folder}/{$code}.json");
        }
        $this->bench->put('specs/note.txt', 'none')->put('list.txt', "# both\nTC_010.json\n\nTC_020.json\n");
        $this->bench->frames('all/TC_010.%04d.png', '1-6', Workbench::png(64, 36));
        $this->bench->frames('all/b/TC_020.%04d.png', '1-5', Workbench::png(64, 36));
        [$code, $text] = $this->run_(['tree', '--specs', 'list.txt', '--files', 'all']);
        self::assertSame(1, $code);
        self::assertStringContainsString('≠ TC_020  1 frame to render', $text);
        self::assertStringContainsString('= TC_010  balances', $text);
        [, $json] = $this->run_(['tree', '--specs', 'list.txt', '--files', 'all', '--format', 'json']);
        $document = json_decode($json);
        $schema = (string) file_get_contents(dirname(__DIR__, 3).'/docs/schema/tree.schema.json');
        self::assertTrue((new Validator)->validate($document, $schema)->isValid());
        [$code, , $says] = $this->run_(['tree', '--specs', 'specs', '--files', 'all']);
        self::assertSame([3, 'specs: there is no specification in it.'], [$code, trim($says)]);
    }

    public function test_a_recipe_is_written_in_each_form(): void
    {
        $this->bench->put('movie.json', (string) json_encode([
            'format' => 'plain-ledger/specification', 'version' => 1,
            'parts' => [
                ['name' => 'frames', 'delivers' => 'frames', 'require' => [
                    'naming.pattern' => 'a.{frame:4}.{ext}', 'time.rate' => '25', 'time.range' => '1-5',
                ]],
                ['name' => 'reel', 'delivers' => 'movie', 'made_from' => 'frames', 'require' => [
                    'format.kind' => 'mp4',
                ]],
            ],
        ]));
        $this->bench->frames('in/a.%04d.png', '1-4', Workbench::png(64, 36));
        $recipe = fn (string ...$more): array => $this->run_(['recipe', '--spec', 'movie.json', ...$more]);
        [$code, $text] = $recipe('--files', 'in');
        self::assertSame(0, $code);
        self::assertStringContainsString("Size            64 × 36\n", $text);
        self::assertStringContainsString('5 is missing', $text);
        self::assertStringContainsString('-framerate 25', $recipe('--format', 'commands')[1]);
        self::assertSame('Timeline.1', json_decode($recipe('--format', 'otio')[1], true)['OTIO_SCHEMA']);
        self::assertSame('plain-ledger/recipe', json_decode($recipe('--format', 'json')[1], true)['format']);
        foreach ([['--part', 'x'], ['--part', 'frames'], ['--format', 'x'], ['--files', 'nowhere']] as $wrong) {
            [$code, , $says] = $recipe(...$wrong);
            self::assertSame([3, 1], [$code, substr_count($says, "\n")], $says);
        }
    }

    public function test_what_is_only_tagged_otherwise_is_tagged_in_copies_that_balance(): void
    {
        $this->bench->put('movie.json', (string) json_encode([
            'format' => 'plain-ledger/specification', 'version' => 1,
            'parts' => [
                ['name' => 'sky', 'delivers' => 'frames', 'require' => [
                    'naming.pattern' => 'sky.{frame:4}.{ext}', 'time.range' => '1-3',
                    'picture.pixel_aspect' => '2/1', 'picture.resolution' => '64x32',
                ]],
                ['name' => 'reel', 'delivers' => 'movie', 'require' => [
                    'naming.pattern' => 'reel.{ext}', 'time.start_timecode' => '01:00:00:00',
                ]],
            ],
        ]));
        $movie = (string) file_get_contents(dirname(__DIR__, 2).'/fixtures/movies/wide.mov');
        $this->bench->frames('in/sky.%04d.png', '1-3', Workbench::png(64, 32))->put('in/reel.mov', $movie);
        $check = fn (string $files): array => $this->run_(
            ['check', '--spec', 'movie.json', '--files', $files, '--format', 'json'],
        );
        [$code, $json] = $check('in');
        self::assertSame(1, $code);
        $this->bench->put('check.json', $json);
        $retag = ['retag', '--check', 'check.json', '--files', 'in', '--into', 'out'];
        [$code, $told] = $this->run_($retag);
        self::assertSame([0, 4], [$code, substr_count($told, "\n")], $told);
        self::assertSame(0, $check('out')[0], $check('out')[1]);
        self::assertSame(0, $this->run_(['retag', 'in/reel.mov', '--set', 'format.index=first', '--into', 'one'])[0]);
        // one that is cut short is told as that
        $this->bench->put('cut/reel.mov', substr($movie, 0, -600));
        $text = $this->run_(['check', '--spec', 'movie.json', '--files', 'cut'])[1];
        self::assertStringContainsString("\nDamaged\n  - reel.mov: ", $text);
        // nothing is written over
        [$code, , $says] = $this->run_($retag);
        self::assertSame([1, 4], [$code, substr_count($says, 'is there already')]);
        foreach ([[], ['in/reel.mov'], ['in/reel.mov', '--set', 'a=b']] as $no) {
            self::assertSame(3, $this->run_(['retag', ...$no, '--into', 'x'])[0]);
        }
    }

    public function test_what_a_check_says_of_names_is_done_undone_and_compared(): void
    {
        $this->bench->frames('in/TC-010.%03d.png', '1-6', Workbench::png(64, 36));
        $spec = $this->specification();
        $check = fn (): string => $this->run_(['check', '--spec', $spec, '--files', 'in', '--format', 'json'])[1];
        $this->bench->put('one.json', $check());
        $rename = ['rename', '--check', 'one.json', '--files', 'in'];
        self::assertStringContainsString(
            'TC-010.###.png → TC_010.####.png 1-6, 6 files',
            $this->run_($rename)[1],
        );
        self::assertFileExists("{$this->bench->folder}/in/TC-010.003.png");
        self::assertSame(0, $this->run_([...$rename, '--apply'])[0]);
        self::assertFileExists("{$this->bench->folder}/in/TC_010.0003.png");
        $this->bench->put('two.json', $check());
        [$code, $text] = $this->run_(['compare', 'one.json', 'two.json']);
        self::assertSame([0, "Put right: File names\n"], [$code, $text]);
        [$code, $back] = $this->run_(['compare', 'two.json', 'one.json', '--format', 'json']);
        self::assertSame([1, ['File names']], [$code, json_decode($back, true)['new']]);
        // the same check no longer tells what is there
        self::assertSame(3, $this->run_([...$rename, '--apply'])[0]);
        self::assertSame([0, "6 files back to where they were.\n"], array_slice(
            $this->run_(['rename', '--files', 'in', '--undo']),
            0,
            2,
        ));
        self::assertFileExists("{$this->bench->folder}/in/TC-010.003.png");
        self::assertStringStartsWith("#!/bin/sh\n", $this->run_([...$rename, '--script', 'sh'])[1]);
    }

    public function test_no_framework_and_no_database_is_loaded(): void
    {
        $code = 'require $argv[1]; ob_start(); $c = PlainLedger\Cli\Program::main(["x", "check", "--spec", '
            .'"spec.json", "--files", "d"]); ob_end_clean(); foreach (get_included_files() as $f) { if '
            .'(preg_match("~/vendor/(laravel|inertiajs|illuminate|doctrine)/~", $f)) { echo $f, "\n"; } }';
        $this->bench->frames('d/TC_010.%04d.png', '1-6', Workbench::png());
        $this->specification();
        // files that Composer loads for everybody are no framework
        $output = (string) shell_exec(
            'cd '
                .escapeshellarg($this->bench->folder)
                .' && '
                .escapeshellarg(PHP_BINARY)
                .' -r '
                .escapeshellarg($code)
                .' '
                .escapeshellarg(dirname(__DIR__, 3).'/vendor/autoload.php')
                .' 2>&1',
        );
        $loaded = array_filter(
            explode("\n", $output),
            static fn (string $f): bool => str_starts_with($f, '/')
                && preg_match('~(helpers|functions)\.php$~', $f) !== 1,
        );

        self::assertSame([], array_values($loaded));
    }

    public function test_a_delivery_is_sealed_and_verified(): void
    {
        $this->bench->put('d/a/x.0001.exr', 'one')->put('d/a/x.0002.exr', 'two');
        [$code, $output] = $this->run_(['seal', '--files', 'd']);
        self::assertSame([0, "Sealed 2 files, 6 bytes, by SHA-256: checksums.sha256\n"], [$code, $output]);
        self::assertSame(
            hash('sha256', 'one')."  a/x.0001.exr\n".hash('sha256', 'two')."  a/x.0002.exr\n",
            file_get_contents("{$this->bench->folder}/d/checksums.sha256"),
        );
        [$code, $output] = $this->run_(['verify', '--files', 'd']);
        self::assertSame([0, "2 files are as they were sealed.\n"], [$code, $output]);

        $this->bench->put('d/a/x.0001.exr', 'ONE')->put('d/a/y.exr', 'new');
        rename("{$this->bench->folder}/d/a/x.0002.exr", "{$this->bench->folder}/d/a/x.2.exr");
        [$code, $output] = $this->run_(['verify', '--files', 'd', '--json']);
        $found = json_decode($output, true);
        self::assertSame([1, false, 0], [$code, $found['holds'], $found['same']]);
        self::assertSame(
            [['a/x.0001.exr'], [], ['a/y.exr'], [['from' => 'a/x.0002.exr', 'to' => 'a/x.2.exr']]],
            [$found['changed'], $found['missing'], $found['new'], $found['renamed']],
        );
        // what is not as it was is not sealed over
        $before = file_get_contents("{$this->bench->folder}/d/checksums.sha256");
        [$code, $output] = $this->run_(['seal', '--files', 'd']);
        self::assertSame(1, $code);
        self::assertSame("Differs: a/x.0001.exr is in a list and has other bytes now\n", $output);
        self::assertSame($before, file_get_contents("{$this->bench->folder}/d/checksums.sha256"));
    }

    public function test_media_hash_lists_grow_by_generations(): void
    {
        $this->bench->put('d/x.0001.exr', 'one');
        [$code, $output] = $this->run_(['seal', '--files', 'd', '--mhl', '--author', 'Odile']);
        self::assertSame(0, $code);
        self::assertMatchesRegularExpression(
            '~^Sealed 1 file, 3 bytes, by xxHash 64: ascmhl/0001_d_\d{4}-\d\d-\d\d_\d{6}Z\.mhl\n$~',
            $output,
        );
        $this->bench->put('d/x.0002.exr', 'two');
        [$code] = $this->run_(['seal', '--files', 'd', '--mhl', '--with', 'md5,xxh128']);
        self::assertSame(0, $code);
        [$code, $output] = $this->run_(['verify', '--files', 'd']);
        self::assertSame([0, "2 files are as they were sealed.\n"], [$code, $output]);
        file_put_contents(glob("{$this->bench->folder}/d/ascmhl/0001*")[0] ?? '', "\n", FILE_APPEND);
        [$code, $output] = $this->run_(['verify', '--files', 'd']);
        self::assertSame(1, $code);
        self::assertStringContainsString('was changed after it was written.', $output);
        [$code, , $errors] = $this->run_(['seal', '--files', 'd', '--mhl']);
        self::assertSame(3, $code);
        self::assertStringContainsString('“ascmhl” is not as it was written', $errors);
    }

    public function test_an_archive_is_sealed_into_a_list_beside_it(): void
    {
        $zip = new \ZipArchive;
        $zip->open("{$this->bench->folder}/d.zip", \ZipArchive::CREATE);
        $zip->addFromString('v1/x.0001.exr', 'one');
        $zip->close();
        [$code, , $errors] = $this->run_(['seal', '--files', 'd.zip']);
        self::assertSame([3, "Nothing can be written into what is no folder: give --out FILE.\n"], [$code, $errors]);
        self::assertSame(0, $this->run_(['seal', '--files', 'd.zip', '--out', 'd.md5', '--with', 'md5'])[0]);
        self::assertSame(md5('one')."  x.0001.exr\n", file_get_contents("{$this->bench->folder}/d.md5"));
        self::assertSame(0, $this->run_(['verify', '--files', 'd.zip', '--list', 'd.md5'])[0]);
        self::assertSame(md5('one')."  x.0001.exr\n", $this->run_(
            ['seal', '--files', 'd.zip', '--with', 'md5', '--out', '-'],
        )[1]);
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function sealsThatCannotBe(): iterable
    {
        yield 'no files' => [['seal'], '--files is needed: the delivery to seal.'];
        yield 'nothing there' => [['verify', '--files', 'nowhere'], 'The folder “nowhere” is not there.'];
        yield 'no list' => [['verify', '--files', 'd'], '“d” has no list of checksums in it; give --list FILE.'];
        yield 'no algorithm' => [['seal', '--files', 'd', '--with', 'crc'], '--with is md5, sha1, sha256, sha512, '
            .'xxh64, xxh3, xxh128, and “crc” is none of them.'];
        yield 'SHA-256 in ASC MHL' => [['seal', '--files', 'd', '--mhl', '--with', 'sha256'],
            'ASC MHL has no place for SHA-256; it holds xxh64, xxh3, xxh128, md5 and sha1.'];
        yield 'two in one list' => [['seal', '--files', 'd', '--with', 'md5,sha1', '--out', 'x'],
            'One list holds sums of one kind: give --with one of them beside --out.'];
        yield 'an empty list' => [
            ['verify', '--files', 'd', '--list', 'empty.md5'], '“empty.md5” holds no checksums.',
        ];
    }

    /** @param  list<string>  $arguments */
    #[DataProvider('sealsThatCannotBe')]
    public function test_seals_that_cannot_be_are_refused_in_a_sentence(array $arguments, string $says): void
    {
        $this->bench->put('d/x.exr', 'one')->put('empty.md5', "\n");

        self::assertSame([3, "{$says}\n"], [$this->run_($arguments)[0], $this->run_($arguments)[2]]);
    }

    public function test_a_submission_record_is_verified_with_nothing_running(): void
    {
        $key = RecordKey::of(str_repeat('k', 32));
        $record = SubmissionRecord::signed(['note' => 'fine', 'files' => [
            ['path' => 'x.0001.exr', 'bytes' => 3, 'sums' => ['sha256' => hash('sha256', 'one')]],
        ]], $key);
        $this->bench->put('r.json', $record->write())->put('d/x.0001.exr', 'one');
        $print = RecordKey::fingerprint($key->public);
        [$code, $output] = $this->run_(['verify', '--record', 'r.json', '--files', 'd', '--key', $print]);
        self::assertSame(
            [0, "1 file is as it was sealed.\nThe record is as it was signed, by the key {$print}.\n"],
            [$code, $output],
        );
        self::assertSame(0, $this->run_(['verify', '--record', 'r.json'])[0]);
        $other = RecordKey::fingerprint(RecordKey::of(str_repeat('o', 32))->public);
        [$code, $output] = $this->run_(['verify', '--record', 'r.json', '--key', $other]);
        self::assertSame(1, $code);
        self::assertStringContainsString("The record is signed by another key, {$print}.", $output);
        $this->bench->put('d/x.0001.exr', 'One');
        [$code, $output] = $this->run_(['verify', '--record', 'r.json', '--files', 'd', '--json']);
        self::assertSame([1, ['x.0001.exr'], []], [
            $code, json_decode($output, true)['changed'], json_decode($output, true)['faults'],
        ]);
        $this->bench->put('r.json', str_replace('fine', 'Fine', $record->write()));
        [$code, $output] = $this->run_(['verify', '--record', 'r.json']);
        self::assertSame([1, "The record is not as it was signed, or was signed by nobody.\n"], [$code, $output]);
        self::assertSame(3, $this->run_(['verify', '--record', 'd/x.0001.exr'])[0]);
        self::assertSame(3, $this->run_(['verify', '--record', 'r.json', '--list', 'r.json'])[0]);
    }

    public function test_what_was_signed_is_packed_with_its_sums_record_and_sheet(): void
    {
        $key = RecordKey::of(str_repeat('k', 32));
        $sums = static fn (string $of): array => ['sha256' => hash('sha256', $of), 'md5' => md5($of)];
        $record = SubmissionRecord::signed([
            'number' => 2,
            'deliverable' => ['code' => '../TC 010'],
            'asked' => json_decode((string) file_get_contents($this->bench->folder.'/'.$this->specification()), true),
            'files' => [
                ['path' => 'x.0001.exr', 'bytes' => 3, 'sums' => $sums('one')],
                ['path' => 'mist/7', 'bytes' => 3, 'sums' => $sums('two')],
            ],
        ], $key);
        $this->bench->put('r.json', $record->write())->put('d/x.0001.exr', 'one')->put('d/mist/7', 'two');
        $pack = ['pack', '--record', 'r.json', '--files', 'd', '--into'];
        self::assertSame([0, "2 files packed into out.zip.\n", ''], $this->run_([...$pack, 'out.zip']));
        self::assertSame([0, "2 files packed into out.\n", ''], $this->run_([...$pack, 'out/']));
        $proof = 'cd %s && unzip -q out.zip -d unpacked && diff -r out unpacked && cd out/.._TC_010 '
            .'&& sha256sum --quiet -c checksums.sha256 && md5sum --quiet -c checksums.md5 && cat mist/7';
        exec(sprintf($proof, escapeshellarg($this->bench->folder)), $lines, $code);
        self::assertSame([0, ['two']], [$code, $lines]);
        self::assertSame(
            ['.._TC_010', '.._TC_010-record.html', '.._TC_010-record.json', '.._TC_010-sheet.html'],
            array_values(array_diff(scandir("{$this->bench->folder}/out") ?: [], ['.', '..'])),
        );
        self::assertFileDoesNotExist("{$this->bench->folder}/TC_010");

        // nothing is written over, and nothing else is packed than was signed
        self::assertSame(3, $this->run_([...$pack, 'out.zip'])[0]);
        self::assertSame(3, $this->run_([...$pack, 'out'])[0]);
        self::assertSame(3, $this->run_([...$pack, 'nowhere/out.zip'])[0]);
        self::assertSame(3, $this->run_(['pack', '--record', 'r.json', '--files', 'd'])[0]);
        $this->bench->put('d/mist/7', 'Two');
        self::assertSame(
            [1, "The files are not those that were signed; verify --record tells which.\n"],
            array_slice($this->run_([...$pack, 'other.zip']), 0, 2),
        );
        $this->bench->put('r.json', str_replace('"number": 2', '"number": 3', $record->write()));
        self::assertSame(
            [1, "The record is not as it was signed, or was signed by nobody.\n"],
            array_slice($this->run_([...$pack, 'other.zip']), 0, 2),
        );
        self::assertFileDoesNotExist("{$this->bench->folder}/other.zip");
    }

    public function test_two_records_tell_which_files_came_again(): void
    {
        $key = RecordKey::of(str_repeat('k', 32));
        $record = fn (int $number, array $sums): string => SubmissionRecord::signed([
            'number' => $number,
            'check' => json_decode($this->run_(['check', '--spec', $this->specification(), '--files', '.', '--format',
                'json'])[1], true),
            'files' => array_map(
                static fn (string $name, string $of): array => [
                    'path' => $name, 'bytes' => 3, 'sums' => ['sha256' => hash('sha256', $of), 'md5' => md5($of)],
                ],
                array_keys($sums),
                $sums,
            ),
        ], $key)->write();
        $this->bench->put('one.json', $record(1, ['x.0001.exr' => 'a', 'x.0002.exr' => 'b', 'x.0003.exr' => 'c']));
        $this->bench->put('two.json', $record(2, ['x.0001.exr' => 'a', 'x.0002.exr' => 'B', 'y.0003.exr' => 'c']));
        [$code, $text] = $this->run_(['compare', 'one.json', 'two.json']);
        self::assertStringContainsString(
            "As they were: x.0001.exr.\nCame again: x.0002.exr.\nRenamed: x.0003.exr is y.0003.exr now.\n",
            $text,
        );
        [, $json] = $this->run_(['compare', 'one.json', 'two.json', '--format', 'json']);
        $schema = (string) file_get_contents(dirname(__DIR__, 3).'/docs/schema/comparison.schema.json');
        self::assertTrue((new Validator)->validate(json_decode($json), $schema)->isValid());
        self::assertSame([1, 'sums', ['files' => 1, 'names' => ['x.0002.exr']]], [
            json_decode($json, true)['files']['number'], json_decode($json, true)['files']['by'],
            json_decode($json, true)['files']['again'],
        ]);
    }

    public function test_an_exercise_is_made_and_its_answer_marked(): void
    {
        self::assertSame(0, $this->run_(['practice', 'make', '--exercise', '6', '--for', 'wren', '--into', 'six'])[0]);
        self::assertSame([1, "1 of 4 points\n"], [
            $this->run_(['practice', 'mark', '--exercise', 'six', '--answer', 'six/answer.json'])[0],
            substr($this->run_(['practice', 'mark', '--exercise', 'six', '--answer', 'six/answer.json'])[1], 0, 14),
        ]);
        $this->bench->put('six/answer.json', (string) json_encode([
            'format' => 'plain-ledger/practice-answer', 'version' => 1, 'balances' => false,
            'lines' => ['naming.pattern'], 'causes' => ['too-many-digits'], 'render' => '',
        ]));
        [$code, $output] = $this->run_([
            'practice', 'mark', '--exercise', 'six', '--answer', 'six/answer.json', '--json',
        ]);
        $marks = json_decode($output, true);
        self::assertSame([0, 4, 4], [$code, $marks['earned'], $marks['possible']]);
        self::assertStringContainsString(' 6  1  Six digits', $this->run_(['practice', 'list'])[1]);
        foreach ([
            [['make', '--exercise', '6', '--into', 'six'], '“six” is there already, and nothing is written over.'],
            [['make', '--exercise', '31', '--into', 'x'], 'Exercises are numbered from 1 to 30.'],
            [['make', '--difficulty', '9', '--into', 'x'], '“9” is no difficulty: there are 1, 2, 3 and 4.'],
            [['mark', '--exercise', '.', '--answer', 'x'], '“.” holds no exercise.'],
            [['mark', '--exercise', 'six', '--specification', 'x'], 'six/brief.json: there is no such file.'],
            [['do'], 'Say list, make or mark.'],
        ] as [$arguments, $says]) {
            self::assertSame([3, '', "{$says}\n"], $this->run_(['practice', ...$arguments]));
        }
    }
}
