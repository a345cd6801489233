<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Text\Text;

/** A record as one HTML page that needs nothing beside it, made to be printed on A4. */
final readonly class RecordHtml
{
    /** Lines of the sums that are printed: all of them stand in the record itself and in its lists. */
    private const MOST_FILES = 40;

    /** Names of files of one kind that are printed, those of a sequence as one. */
    private const MOST_NAMES = 12;

    /** Pictures beside each other. */
    private const ABREAST = 3;

    private const LINES = [
        'put_right' => 'put right, accepted before', 'back' => 'accepted now, equal before',
        'asked_otherwise' => 'asked otherwise',
    ];

    private const SINCE = ['same' => 'as they were', 'again' => 'came again', 'new' => 'new', 'gone' => 'gone'];

    /**
     * @param  string  $standing  what became of it since; empty where it stands as it was signed
     * @param  string  $size  of the letters, as CSS has it
     * @param  string  $link  an address that opens it with no sign-in; empty where there is none
     */
    public function __construct(
        private string $standing = '',
        private string $size = '9.5pt',
        private string $link = '',
    ) {}

    public function write(SubmissionRecord $record): string
    {
        $data = $record->data;
        $code = self::text($data, 'deliverable', 'code');
        $title = self::e("Submission {$code}, number ".self::text($data, 'number'));
        $body = "<h1>{$title}</h1>"
            .($this->standing === '' ? '' : '<p class="standing">'.self::e($this->standing).'</p>')
            .($record->holds() ? '' : '<p class="standing">This record is not as it was signed.</p>')
            .$this->signed($record)
            .self::pictures($data)
            .self::found($data)
            .self::exceptions($data)
            .self::since($data)
            .self::sequences($data)
            .self::files($data)
            .$this->seal($record);

        return "<!DOCTYPE html>\n<html lang=\"en\"><head><meta charset=\"utf-8\"><meta name=\"viewport\" "
            ."content=\"width=device-width\"><title>{$title}</title><style>"
            .str_replace('9.5pt', $this->size, self::STYLE)
            ."</style></head>\n<body><main aria-label=\"The record\">{$body}</main></body></html>\n";
    }

    private const STYLE = <<<'CSS'
@page { size: A4; margin: 12mm 14mm; }
body { margin: 0; background: #fffefa; color: #20282b;
  font: 9.5pt/1.35 "Source Serif 4", "DejaVu Serif", Georgia, serif; }
main { max-width: 182mm; margin: 0 auto; padding: 0; }
h1 { font-size: 1.7em; margin: 0 0 2mm; padding-bottom: 1.5mm;
  border-bottom: 3px double #20282b; overflow-wrap: anywhere; }
h2 { font-size: 1.15em; margin: 1em 0 0.3em; }
table { width: 100%; border-collapse: collapse; }
thead { display: table-header-group; }
th, td { text-align: left; vertical-align: baseline; padding: 0.14em 0.45em;
  border-bottom: 0.5px solid #dad4c5; font-weight: normal; overflow-wrap: anywhere; }
thead th { font-style: italic; color: #58615f; border-bottom: 0.8px solid #20282b; }
td.mono, .mono { font-family: "IBM Plex Mono", "DejaVu Sans Mono", monospace; font-size: 0.85em; }
.standing { color: #a8261d; border: 1px solid #a8261d; padding: 1mm 2mm; }
.aside { font-style: italic; color: #58615f; }
.signature { margin-top: 1.2em; border: 0.8px solid #20282b; padding: 2mm 3mm; page-break-inside: avoid;
  min-height: 32mm; }
.pictures { margin: 2mm 0 0; font-size: 0.85em; }
.pictures td { border: 0; padding: 0 2mm 1mm 0; width: 33%; }
.pictures img { max-width: 100%; max-height: 34mm; border: 0.5px solid #dad4c5; }
.code { float: right; width: 32mm; height: 32mm; margin-left: 3mm; }
@media screen { body { padding: 4mm; } }
@media print { body { background: none; } }
CSS;

    private function signed(SubmissionRecord $record): string
    {
        $data = $record->data;
        $rows = [
            'Production' => self::text($data, 'production', 'code').', '.self::text($data, 'production', 'name'),
            'Deliverable' => trim(self::text($data, 'deliverable', 'code').', '
                .self::text($data, 'deliverable', 'title'), ', '),
            'Made by' => self::text($data, 'deliverable', 'owner'),
            'Signed by' => self::text($data, 'signed_by'),
            'Signed at' => self::text($data, 'signed_at'),
            'Checked at' => self::text($data, 'checked_at').', '.self::text($data, 'depth'),
            'Files' => self::text($data, 'read_by') === 'browser'
                ? 'They stay on the machine of whoever signed; their sums were worked out there by the browser.'
                : '',
            'Verdict' => self::text($data, 'verdict'),
            'Takes the place of' => self::text($data, 'replaces') === ''
                ? ''
                : 'number '.self::text($data, 'replaces'),
            'Note' => self::text($data, 'note'),
        ];
        $lines = '';
        foreach (array_filter($rows, static fn (string $value): bool => trim($value, ', ') !== '') as $name => $value) {
            $lines .= '<tr><th scope="row" class="aside" style="width:26%">'.self::e($name).'</th><td>'.self::e($value)
                .'</td></tr>';
        }

        return "<table><tbody>{$lines}</tbody></table>";
    }

    /** @param  array<string, mixed>  $data */
    private static function pictures(array $data): string
    {
        $cells = [];
        $parts = array_map(static fn (array $one): string => self::text($one, 'part'), self::rows($data, 'pictures'));
        $several = count(array_unique($parts)) > 1;
        foreach (self::rows($data, 'pictures') as $one) {
            $jpeg = self::text($one, 'jpeg');
            if (preg_match('~^[A-Za-z0-9+/]+={0,2}$~D', $jpeg) === 1) {
                // what it shows is said below it
                $cells[] = '<td><img alt="" src="data:image/jpeg;base64,'.$jpeg.'"><br>'
                    .self::e(self::caption($one, $several)).'</td>';
            }
        }
        $rows = array_map(
            static fn (array $row): string => '<tr>'.implode('', array_pad($row, self::ABREAST, '<td></td>')).'</tr>',
            array_chunk($cells, self::ABREAST),
        );

        return $rows === []
            ? ''
            : '<table class="pictures" role="presentation"><tbody>'.implode('', $rows).'</tbody></table>';
    }

    /** @param  array<string, mixed>  $picture */
    private static function caption(array $picture, bool $several): string
    {
        $frame = self::text($picture, 'frame');
        $number = self::text($picture, 'picture');

        return implode(', ', array_filter([
            $several ? self::text($picture, 'part') : '', self::text($picture, 'pass'),
            $frame === '' ? '' : "frame {$frame}",
            $number === '' ? '' : 'picture '.((int) $number + 1),
        ], static fn (string $word): bool => $word !== ''));
    }

    /** @param  array<string, mixed>  $data */
    private static function found(array $data): string
    {
        $rows = '';
        $entries = self::rows(self::member($data, 'check'), 'entries');
        $parts = array_map(static fn (array $entry): string => self::text($entry, 'part'), $entries);
        $several = count(array_unique($parts)) > 1;
        foreach ($entries as $entry) {
            $files = self::member($entry, 'files');
            $cell = $files === [] ? self::member($entry, 'scene') : $files;
            $mark = Mark::tryFrom(self::text($entry, 'mark')) ?? Mark::Unknown;
            $of = array_filter([
                $several ? self::text($entry, 'part') : '', self::text($entry, 'pass'),
                self::text($entry, 'level') === Level::Should->value ? 'should' : '',
            ], static fn (string $word): bool => $word !== '');
            $rows .= '<tr><th scope="row">'.self::e(self::label(self::text($entry, 'id'))).' <span class="aside">'
                .self::e(implode(', ', $of)).'</span></th><td class="mono">'
                .self::e(self::text($entry, 'required')).'</td><td class="mono">'.self::e(self::text($cell, 'found'))
                .'</td><td>'.self::e(self::word($mark)).'</td></tr>';
        }

        return $rows === '' ? '' : '<h2>What was asked and found</h2><table><thead><tr><th scope="col">requirement'
            .'</th><th scope="col" style="width:27%">asked</th><th scope="col" style="width:27%">found</th>'
            ."<th scope=\"col\" style=\"width:11%\">so it is</th></tr></thead><tbody>{$rows}</tbody></table>";
    }

    private static function label(string $id): string
    {
        return Catalogue::standard()->find($id)->label ?? $id;
    }

    private static function word(Mark $mark): string
    {
        return match ($mark) {
            Mark::Equal => 'equal',
            Mark::Waived => 'accepted',
            Mark::Unequal => 'differs',
            Mark::Unknown => 'not told',
        };
    }

    /** @param  array<string, mixed>  $data */
    private static function exceptions(array $data): string
    {
        $lines = '';
        foreach (self::rows($data, 'accepted') as $one) {
            $by = self::text($one, 'by');
            $what = self::label(self::text($one, 'id')).' of '.self::text($one, 'part');
            $lines .= '<li>'.self::e("{$what} was accepted as ".self::text($one, 'found')
                .($by === '' ? '' : " by {$by}").': '.self::text($one, 'reason')).'</li>';
        }
        foreach (self::rows($data, 'answered') as $one) {
            $lines .= '<li>'.self::e(self::text($one, 'why').' Done instead, by '.self::text($one, 'by').': '
                .self::text($one, 'done_instead')).'</li>';
        }

        return $lines === '' ? '' : "<h2>What was accepted, and why</h2><ul>{$lines}</ul>";
    }

    /** @param  array<string, mixed>  $data */
    private static function since(array $data): string
    {
        $since = self::member($data, 'since');
        $lines = $since === [] ? '' : self::filesSince($since).self::linesSince(self::member($since, 'lines'));
        $approved = self::rows($data, 'approved');
        $table = count($approved) > 1 ? self::approved($approved) : '';

        return $lines.$table === ''
            ? ''
            : '<h2>Since number '.self::e(self::text($since, 'number'))."</h2><ul>{$lines}</ul>{$table}";
    }

    /** @param  array<string, mixed>  $since */
    private static function filesSince(array $since): string
    {
        $lines = '';
        foreach (self::SINCE as $key => $word) {
            $names = self::strings(self::member(self::member($since, $key), 'names'));
            $lines .= $names === '' ? '' : "<li>{$word}: <span class=\"mono\">{$names}</span></li>";
        }
        foreach (self::rows($since, 'renamed') as $pair) {
            $lines .= '<li>renamed: <span class="mono">'.self::e(self::text($pair, 'from').' → '
                .self::text($pair, 'to')).'</span></li>';
        }

        return $lines;
    }

    /** @param  array<string, mixed>  $lines */
    private static function linesSince(array $lines): string
    {
        $told = '';
        foreach (self::LINES as $key => $word) {
            $names = array_map(self::lineNamed(...), self::rows($lines, $key));
            $told .= $names === [] ? '' : "<li>{$word}: ".self::e(implode(', ', array_unique($names))).'</li>';
        }

        return $told;
    }

    /** @param  list<array<string, mixed>>  $approved */
    private static function approved(array $approved): string
    {
        $rows = '';
        foreach ($approved as $one) {
            $rows .= '<tr><td>number '.self::e(self::text($one, 'number').', '.self::text($one, 'signed_by').', '
                .self::text($one, 'signed_at')).'</td><td class="mono">'
                .self::strings(self::member($one, 'names')).'</td></tr>';
        }

        return '<table><thead><tr><th scope="col">first signed in</th><th scope="col">files</th></tr></thead>'
            ."<tbody>{$rows}</tbody></table>";
    }

    /** @param  array<string, mixed>  $line */
    private static function lineNamed(array $line): string
    {
        $of = trim(self::text($line, 'part').', '.self::text($line, 'pass'), ', ');

        return self::label(self::text($line, 'id')).($of === '' ? '' : " of {$of}");
    }

    /** @param  array<array-key, mixed>  $texts */
    private static function strings(array $texts): string
    {
        $some = array_slice(array_filter($texts, is_string(...)), 0, self::MOST_NAMES);
        $more = count($texts) - count($some);

        return self::e(implode(', ', $some).($more > 0 ? " and {$more} more" : ''));
    }

    /** @param  array<string, mixed>  $data */
    private static function sequences(array $data): string
    {
        $rows = '';
        foreach (self::rows(self::member($data, 'check'), 'sequences') as $sequence) {
            $place = ltrim(self::text($sequence, 'folder').'/'.self::text($sequence, 'pattern'), '/');
            $present = self::e(self::text($sequence, 'present'));
            $rows .= '<tr><td class="mono">'.self::e($place)."</td><td class=\"mono\">{$present}</td></tr>";
        }

        return $rows === '' ? '' : '<h2>Frames</h2><table><thead><tr><th scope="col">names</th><th scope="col" '
            ."style=\"width:40%\">frames</th></tr></thead><tbody>{$rows}</tbody></table>";
    }

    /** @param  array<string, mixed>  $data */
    private static function files(array $data): string
    {
        $files = self::rows($data, 'files');
        $rows = '';
        foreach (array_slice($files, 0, self::MOST_FILES) as $file) {
            $sums = '';
            foreach (self::member($file, 'sums') as $algorithm => $sum) {
                $sums .= ($sums === '' ? '' : '<br>').self::e($algorithm.' '.(is_string($sum) ? $sum : ''));
            }
            $rows .= '<tr><td class="mono" style="width:40%">'.self::e(self::text($file, 'path'))
                .'</td><td class="mono">'
                ."{$sums}</td></tr>";
        }
        $more = count($files) - self::MOST_FILES;
        $bytes = self::text($data, 'totals', 'bytes');

        return '<h2>'.self::e(Text::count(count($files), 'file').', '.number_format((int) $bytes).' bytes').'</h2>'
            ."<table><tbody>{$rows}</tbody></table>"
            .($more > 0 ? '<p class="aside">And '.Text::count($more, 'more file').': all stand in the record as JSON, '
                .'and in its lists of checksums.</p>' : '')
            .'<p class="mono">All of them together: '.self::e(self::text($data, 'fingerprint')).'</p>';
    }

    private function seal(SubmissionRecord $record): string
    {
        $signature = self::text($record->data, 'signature');

        return '<div class="signature">'.$this->code().'<p style="margin:0">Signed by the installation’s key (Ed25519) '
            .'<span class="mono">'.self::e(RecordKey::fingerprint($record->key())).'</span></p><p class="mono" '
            .'style="margin:1mm 0">'.self::e($signature).'</p><p class="aside" style="margin:0">To be proved with '
            .'nothing running: bin/plain-ledger verify --record RECORD.json --files DIR</p></div>';
    }

    /** The address as a code that a telephone reads. */
    private function code(): string
    {
        $code = $this->link === '' ? null : QrCode::of($this->link);

        return $code === null
            ? ''
            : '<img class="code" alt="'.self::e($this->link).'" src="data:image/svg+xml;base64,'
                .base64_encode($code->svg()).'">';
    }

    /** @param  array<string, mixed>  $data */
    private static function text(array $data, string ...$keys): string
    {
        $value = $data;
        foreach ($keys as $key) {
            $value = is_array($value) ? $value[$key] ?? null : null;
        }

        return is_scalar($value) ? (string) $value : '';
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     */
    private static function member(array $data, string $key): array
    {
        $member = [];
        foreach (is_array($data[$key] ?? null) ? $data[$key] : [] as $name => $value) {
            $member[(string) $name] = $value;
        }

        return $member;
    }

    /**
     * @param  array<string, mixed>  $data
     * @return list<array<string, mixed>>
     */
    private static function rows(array $data, string $key): array
    {
        $rows = [];
        foreach (self::member($data, $key) as $row) {
            if (is_array($row)) {
                /** @var array<string, mixed> $row */
                $rows[] = $row;
            }
        }

        return $rows;
    }

    private static function e(string $text): string
    {
        return htmlspecialchars(mb_scrub($text), ENT_QUOTES | ENT_SUBSTITUTE | ENT_HTML5);
    }
}
