<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Text\Text;

/** Feedback as one HTML page that needs nothing beside it, made to be printed on A4. */
final readonly class FeedbackHtml
{
    /** @param  string  $size  of the letters, as CSS has it */
    public function __construct(private string $size = '10pt') {}

    public function write(string $title, Feedback $feedback): string
    {
        $title = self::e($title);
        $body = "<h1>{$title}</h1>".self::about($feedback).self::points($feedback).self::causes($feedback)
            .self::remarks($feedback);

        return "<!DOCTYPE html>\n<html lang=\"en\"><head><meta charset=\"utf-8\"><meta name=\"viewport\" "
            ."content=\"width=device-width\"><title>{$title}</title><style>"
            .str_replace('10pt', $this->size, self::STYLE)
            ."</style></head>\n<body><main aria-label=\"Feedback\">{$body}</main></body></html>\n";
    }

    private const STYLE = <<<'CSS'
@page { size: A4; margin: 14mm; }
body { margin: 0; background: #fffefa; color: #20282b;
  font: 10pt/1.4 "Source Serif 4", "DejaVu Serif", Georgia, serif; }
main { max-width: 180mm; margin: 0 auto; }
h1 { font-size: 1.7em; margin: 0 0 2mm; padding-bottom: 1.5mm;
  border-bottom: 3px double #20282b; overflow-wrap: anywhere; }
h2 { font-size: 1.15em; margin: 1.2em 0 0.3em; }
table { width: 100%; border-collapse: collapse; }
thead { display: table-header-group; }
th, td { text-align: left; vertical-align: baseline; padding: 0.2em 0.45em;
  border-bottom: 0.5px solid #dad4c5; font-weight: normal; overflow-wrap: anywhere; }
thead th { font-style: italic; color: #58615f; border-bottom: 0.8px solid #20282b; }
.number { text-align: right; }
.total th, .total td { font-weight: bold; border-top: 3px double #20282b; border-bottom: none; }
.aside { font-style: italic; color: #58615f; }
.red { color: #a8261d; }
@media screen { body { padding: 4mm; } }
@media print { body { background: none; } }
CSS;

    private static function about(Feedback $feedback): string
    {
        $rows = '';
        foreach (array_filter($feedback->about, static fn (string $v): bool => $v !== '') as $name => $value) {
            $rows .= '<tr><th scope="row" class="aside" style="width:26%">'.self::e($name).'</th><td>'.self::e($value)
                .'</td></tr>';
        }

        return "<table><tbody>{$rows}</tbody></table>";
    }

    private static function points(Feedback $feedback): string
    {
        $rows = '';
        foreach ($feedback->lines as $line) {
            $bad = $line['bad'] === [] ? '' : '<br><span class="red">'.self::e(Text::series($line['bad']))
                .(count($line['bad']) === 1 ? ' differs' : ' differ').'</span>';
            $untold = $line['untold'] === [] ? '' : '<br><span class="aside">could not be checked: '
                .self::e(Text::series($line['untold'])).'</span>';
            $rows .= '<tr><th scope="row">'.self::e($line['label']).$bad.$untold.'</th><td class="number">'
                .self::e($line['earned'].($line['open'] === '' ? '' : " (+{$line['open']} by eye)"))
                .'</td><td class="number">'.self::e($line['of']).'</td></tr>';
        }
        foreach ($feedback->sums as $sum) {
            $rows .= '<tr><th scope="row">'.self::e($sum['label']).'</th><td class="number">'.self::e($sum['points'])
                .'</td><td></td></tr>';
        }
        $total = self::e($feedback->total ?? 'to be agreed on');

        return '<h2>Points</h2><table><thead><tr><th scope="col">for</th><th scope="col" class="number" '
            .'style="width:22%">points</th><th scope="col" class="number" style="width:12%">of</th></tr></thead>'
            ."<tbody>{$rows}<tr class=\"total\"><th scope=\"row\">Together</th><td class=\"number\">{$total}</td>"
            .'<td class="number">'.self::e($feedback->possible).'</td></tr></tbody></table>';
    }

    private static function causes(Feedback $feedback): string
    {
        if ($feedback->causes === []) {
            return '<h2>What went wrong</h2><p>Nothing: all that could be checked is as it was asked.</p>';
        }
        $items = '';
        foreach ($feedback->causes as $cause) {
            $items .= '<li>'.self::e($cause['says']).($cause['next'] === ''
                ? ''
                : '<br><span class="aside">Next time: '.self::e($cause['next']).'</span>').'</li>';
        }

        return "<h2>What went wrong, and what to do next time</h2><ol>{$items}</ol>";
    }

    private static function remarks(Feedback $feedback): string
    {
        $items = '';
        foreach ($feedback->remarks as $remark) {
            $items .= '<p><span class="aside">'.self::e($remark['by']).':</span> '.nl2br(self::e($remark['text']))
                .'</p>';
        }

        return $items === '' ? '' : "<h2>Remarks</h2>{$items}";
    }

    private static function e(string $text): string
    {
        $lines = array_map(Text::shown(...), preg_split('~\R~', $text) ?: []);

        return htmlspecialchars(implode("\n", $lines), ENT_QUOTES | ENT_SUBSTITUTE | ENT_HTML5, 'UTF-8');
    }
}
