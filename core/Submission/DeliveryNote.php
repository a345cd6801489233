<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Tabular\Csv;
use PlainLedger\Core\Text\Text;

/** What was handed over of a production, a line a deliverable, with totals. */
final readonly class DeliveryNote
{
    /**
     * @param  list<array{code: string, title: string, number: int, files: int, bytes: int, signed_at: string,
     *   signed_by: string, accepted: int, fingerprint: string}>  $lines
     */
    public function __construct(private string $title, private string $foot, private array $lines) {}

    public function csv(): string
    {
        $rows = [[
            'code', 'title', 'submission', 'files', 'bytes', 'signed at', 'signed by', 'accepted', 'fingerprint',
        ]];
        foreach ($this->lines as $line) {
            $rows[] = array_map(strval(...), array_values($line));
        }
        $rows[] = [
            'total', '', (string) count($this->lines), (string) $this->files(), (string) $this->bytes(), '', '', '', '',
        ];

        return Csv::of($rows);
    }

    public function html(string $size = '9.5pt'): string
    {
        $rows = '';
        foreach ($this->lines as $line) {
            $rows .= '<tr><th scope="row">'.self::e($line['code']).'<br><span class="aside">'.self::e($line['title'])
                ."</span></th><td class=\"number\">{$line['number']}</td><td class=\"number\">"
                .number_format($line['files']).'</td><td class="number">'.number_format($line['bytes']).'</td><td>'
                .self::e("{$line['signed_at']}, {$line['signed_by']}")."</td><td class=\"number\">{$line['accepted']}"
                .'</td><td class="mono">'.self::e(substr($line['fingerprint'], 0, 32)).'…</td></tr>';
        }
        $title = self::e($this->title);
        $heads = '';
        foreach (['deliverable', 'no.', 'files', 'bytes', 'signed', 'accepted', 'all files together'] as $head) {
            $heads .= "<th scope=\"col\">{$head}</th>";
        }

        return "<!DOCTYPE html>\n<html lang=\"en\"><head><meta charset=\"utf-8\"><meta name=\"viewport\" "
            ."content=\"width=device-width\"><title>{$title}</title><style>"
            .str_replace('9.5pt', $size, self::STYLE)
            ."</style></head>\n<body><main aria-label=\"Delivery note\"><h1>{$title}</h1><table><thead>"
            ."<tr>{$heads}</tr></thead><tbody>{$rows}</tbody></table><p>".self::e($this->total())
            .'</p><p class="aside">'.self::e($this->foot)."</p></main></body></html>\n";
    }

    private const STYLE = <<<'CSS'
@page { size: A4 landscape; margin: 12mm 14mm; }
body { margin: 0; background: #fffefa; color: #20282b;
  font: 9.5pt/1.35 "Source Serif 4", "DejaVu Serif", Georgia, serif; }
main { max-width: 265mm; margin: 0 auto; padding: 0; }
h1 { font-size: 1.7em; margin: 0 0 2mm; padding-bottom: 1.5mm; border-bottom: 3px double #20282b; }
table { width: 100%; border-collapse: collapse; }
thead { display: table-header-group; }
th, td { text-align: left; vertical-align: baseline; padding: 0.2em 0.45em; border-bottom: 0.5px solid #dad4c5;
  font-weight: normal; overflow-wrap: anywhere; }
thead th { font-style: italic; color: #58615f; border-bottom: 0.8px solid #20282b; }
.number { text-align: right; }
.mono { font-family: "IBM Plex Mono", "DejaVu Sans Mono", monospace; font-size: 0.85em; }
.aside { font-style: italic; color: #58615f; }
@media screen { body { padding: 4mm; } }
@media print { body { background: none; } }
CSS;

    private function total(): string
    {
        return Text::count(count($this->lines), 'deliverable').', '.Text::count($this->files(), 'file').', '
            .number_format($this->bytes()).' bytes.';
    }

    private function files(): int
    {
        return array_sum(array_column($this->lines, 'files'));
    }

    private function bytes(): int
    {
        return array_sum(array_column($this->lines, 'bytes'));
    }

    private static function e(string $text): string
    {
        return htmlspecialchars(mb_scrub($text), ENT_QUOTES | ENT_SUBSTITUTE | ENT_HTML5);
    }
}
