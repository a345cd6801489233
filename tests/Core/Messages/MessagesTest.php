<?php

declare(strict_types=1);

namespace Tests\Core\Messages;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Messages\Mailbox;
use PlainLedger\Core\Messages\OwnerMessage;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\SettingsTemplate;
use PlainLedger\Core\Report\SharedSettings;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use Tests\Core\Support\Workbench;

/** What owners are told, settings that should agree, and the sheet to fill in. */
final class MessagesTest extends TestCase
{
    private const MESSAGES = [
        [
            'from' => 'a@x.example',
            'to' => "b@x.example\r\nBcc: c@x.example",
            'subject' => 'Müller: TC_010',
            'body' => "Größe = falsch\nFrom here on\n",
            'at' => 1_790_000_000,
        ],
        [
            'from' => 'a@x.example',
            'to' => 'd@x.example',
            'subject' => 'plain',
            'body' => 'x',
            'at' => 1_790_000_000,
        ],
    ];

    public function test_an_owner_is_told_causes_and_the_work_in_order(): void
    {
        $asked = Workbench::specification(
            [
                'picture.resolution' => '64x36',
                'time.rate' => 24,
                'camera.name' => 'cam_a',
                'scene.saved' => 'yes',
                'render.motion_blur' => 'on',
            ],
        );
        $scene = Workbench::scene(
            [
                'picture.resolution' => '64x36',
                'picture.scale' => 50,
                'time.rate' => 25,
                'camera.chosen' => ['cam_b'],
                'camera.all' => ['cam_a', 'cam_b'],
            ],
            ['saved' => false],
        );
        $message = OwnerMessage::to('Ansel', 'The Tide Clock', [
            [
                'code' => 'TC_010',
                'title' => 'quay',
                'due' => '1 Dec, 18:00',
                'document' => CheckReport::of($asked, $scene, null)->toArray(),
            ],
            [
                'code' => 'TC_020',
                'title' => '',
                'due' => null,
                'document' => CheckReport::of(
                    Workbench::specification(['time.rate' => 24]),
                    Workbench::scene(['time.rate' => 24]),
                    null,
                )->toArray(),
            ],
            ['code' => 'TC_030', 'title' => 'slip', 'due' => null, 'document' => null],
        ], 'Odile, coordinator');

        self::assertSame('The Tide Clock: TC_010, TC_020, TC_030', $message->subject);
        self::assertStringStartsWith("Hello Ansel,\n\nTC_010, quay, due 1 Dec, 18:00\n- ", $message->body);
        self::assertStringEndsWith("\n\nOdile, coordinator\n", $message->body);
        self::assertStringContainsString("TC_020\nEverything balances.", $message->body);
        self::assertStringContainsString("TC_030, slip\nNothing has been checked yet.", $message->body);
        self::assertStringContainsString('Not told yet: motion blur.', $message->body);
        // as the ledger goes, and saving last
        self::assertMatchesRegularExpression(
            '~  1\. Set the scale[^\n]*\n  2\. Set the (?:frame )?rate[^\n]*\n  3\. Choose the camera[^\n]*\n  4\. '
                .'Save the scene, then read~',
            $message->body,
        );
    }

    public function test_an_owner_s_message_holds_no_more_than_text(): void
    {
        $message = OwnerMessage::to(
            "A\r\nBcc: x",
            "P\nQ",
            [
                [
                    'code' => "C\x00",
                    'title' => "t\u{202E}",
                    'due' => null,
                    'document' => ['verdict' => 'open', 'causes' => 'x', 'fixes' => [1, ['says' => "line\nbreak"]]],
                ],
            ],
            'me',
        );
        self::assertStringNotContainsString("\nBcc", $message->body);
        self::assertStringNotContainsString("\n", $message->subject);
        self::assertStringContainsString('1. line\x0Abreak', $message->body);
    }

    public function test_messages_are_one_mailbox(): void
    {
        $text = Mailbox::of(self::MESSAGES);
        self::assertSame(2, preg_match_all('~^From a@x\.example ~m', $text));
        self::assertSame(0, preg_match_all('~^Bcc:~m', $text));
        preg_match('~^Subject: (.*)\r$~m', $text, $subject);
        self::assertSame('Müller: TC_010', mb_decode_mimeheader($subject[1] ?? ''));
        self::assertMatchesRegularExpression('~^[\x20-\x7E]+$~', $subject[1] ?? '');
        // what is no address is not written as one
        self::assertStringContainsString("To: nobody@ledger.invalid\r\n", $text);
        self::assertStringContainsString('Gr=C3=B6=C3=9Fe =3D falsch', $text);
        self::assertStringContainsString("\r\n>From here on\r\n", $text);
        // no reader of mailboxes here: its own parts, taken apart again
        preg_match('~\r\n\r\n(.*?)\r\n\r\nFrom ~s', $text, $m);
        self::assertSame("Größe = falsch\r\n>From here on", quoted_printable_decode($m[1] ?? ''));
        self::assertSame($text, Mailbox::of(self::MESSAGES), 'the same again');
    }

    public function test_settings_that_should_agree_and_do_not(): void
    {
        /** @var array<string, array<string, string>> $scenes */
        $scenes = [
            'A' => [
                'time.rate' => '24',
                'render.samples' => '128',
                'time.range' => '1-10',
                'colour.view' => 'film',
                'format.kind' => 'exr',
            ],
            'B' => [
                'time.rate' => '24',
                'render.samples' => '64',
                'time.range' => '1-20',
                'colour.view' => 'film',
                'format.kind' => 'png',
            ],
            'C' => [
                'time.rate' => '25',
                'render.samples' => '128',
                'time.range' => '1-30',
                'colour.view' => 'film',
                'format.kind' => 'exr',
            ],
            'D' => ['time.rate' => '24', 'format.kind' => 'png'],
            '5' => ['render.samples' => '128'],
        ];
        self::assertSame([
            [
                'id' => 'time.rate',
                'label' => 'Frame rate',
                'common' => '24',
                'count' => 3,
                'others' => [['whose' => 'C', 'value' => '25']],
            ],
            [
                'id' => 'render.samples',
                'label' => 'Samples',
                'common' => '128',
                'count' => 3,
                'others' => [['whose' => 'B', 'value' => '64']],
            ],
        ], SharedSettings::among($scenes));
        self::assertSame([], SharedSettings::among([]));
        self::assertSame([], SharedSettings::among(['A' => ['time.rate' => '24'], 'B' => ['time.rate' => '25']]));
    }

    public function test_the_sheet_to_fill_in_tells_nothing_until_it_is(): void
    {
        $asked = Workbench::specification(
            [
                'picture.resolution' => '64x36',
                'time.rate' => 24,
                'time.range' => '1-8',
                'camera.name' => 'cam_a',
                'output.folder' => 'r/{shot}',
                'passes' => ['a', 'b'],
                'naming.pattern' => '{shot}_{pass}.{frame:4}.{ext}',
                'format.kind' => 'png',
                'content.whole' => 'yes',
                'other.fog' => 3,
                'scene.saved' => 'yes',
            ],
        );
        self::assertSame(
            [
                'picture.resolution', 'picture.scale', 'time.rate', 'time.range', 'time.step', 'time.extent',
                'time.timeline', 'camera.chosen', 'camera.all', 'camera.views', 'other.fog', 'output.folder',
                'format.kind', 'naming.pattern', 'passes',
            ],
            SettingsTemplate::ids($asked),
        );
        $json = SettingsTemplate::json($asked);
        foreach ([$json, SettingsTemplate::text($asked)] as $empty) {
            $scene = (new DetectingReader)->read(
                $empty."\nfps = 24\n" === $json."\nfps = 24\n" ? $json : $empty."\nfps = 24\n",
                'template',
            );
            self::assertSame([], $scene->misread->sentences);
            foreach (CheckReport::of($asked, $scene, null)->check->entries as $entry) {
                self::assertNotSame('unequal', $entry->mark->value, $entry->id());
            }
        }
        $filled = strtr(
            $json,
            [
                '"picture.resolution": null' => '"picture.resolution": "64x36"',
                '"camera.chosen": null' => '"camera.chosen": ["cam_a"]',
                '"saved": null' => '"saved": true',
            ],
        );
        $entries = array_column(
            CheckReport::of($asked, (new DetectingReader)->read($filled, 'x.json'), null)->toArray()['entries'],
            'mark',
            'id',
        );
        self::assertSame(
            ['equal', 'equal', 'equal', 'unknown'],
            [$entries['picture.resolution'], $entries['camera.name'], $entries['scene.saved'], $entries['time.rate']],
        );
    }
}
