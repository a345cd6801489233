<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report\Sheet;

use PlainLedger\Core\Specification\Consequences;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Prose;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** The sheet as one HTML page that needs nothing beside it, made to be printed on A4. */
final readonly class SheetHtml implements SheetWriter
{
    /**
     * @param  string  $foot  a line below everything: where it comes from and when
     * @param  list<string>  $unsettled  what in it contradicts itself, so that nobody works by it unawares
     * @param  int  $size  of the letters, in tenths of a point; smaller ones get more onto a page
     */
    public function __construct(
        private string $foot = '',
        private array $unsettled = [],
        private int $size = self::SIZES[0],
    ) {}

    /** From the one that reads best to the smallest that is still read without trouble. */
    public const SIZES = [95, 88, 81, 75, 70, 65];

    public function write(Specification $specification): string
    {
        $title = self::e(SheetText::title($specification));
        $body = "<h1>{$title}</h1>";
        if ($this->unsettled !== []) {
            $body .= '<p class="unsettled">Not settled yet: '.self::e(implode(' ', $this->unsettled)).'</p>';
        }
        foreach ($specification->parts as $part) {
            $body .= $this->part($specification, $part, count($specification->parts) > 1);
        }
        $foot = $this->foot === '' ? '' : '<p class="foot">'.self::e($this->foot).'</p>';

        return "<!DOCTYPE html>\n<html lang=\"en\"><head><meta charset=\"utf-8\"><meta name=\"viewport\" "
            ."content=\"width=device-width\"><title>{$title}</title><style>"
            .str_replace('9.5pt', $this->size / 10 .'pt', self::STYLE)
            ."</style></head>\n<body><main aria-label=\"The sheet\">{$body}{$foot}</main></body></html>\n";
    }

    private const STYLE = <<<'CSS'
@page { size: A4; margin: 10mm 14mm; }
body { margin: 0; background: #fffefa; color: #20282b;
  font: 9.5pt/1.3 "Source Serif 4", "DejaVu Serif", Georgia, serif; }
main { max-width: 182mm; margin: 0 auto; padding: 0; }
h1 { font-size: 1.8em; margin: 0 0 2mm; padding-bottom: 1.5mm;
  border-bottom: 3px double #20282b; overflow-wrap: anywhere; }
h2 { font-size: 1.26em; margin: 0.9em 0 0.25em; }
.said { font-size: 1.16em; margin: 0 0 0.6em; }
table { width: 100%; border-collapse: collapse; }
th, td { text-align: left; vertical-align: top; padding: 0.12em 0.45em;
  border-bottom: 0.5px solid #dad4c5; font-weight: normal; overflow-wrap: anywhere; }
thead th { font-style: italic; color: #58615f; border-bottom: 0.8px solid #20282b; }
tr.group th { font-weight: bold; padding-top: 0.42em; padding-left: 0; border-bottom: 0.5px solid #857f70; }
td.words, th.words, td.value { border-left: 0.5px solid #dad4c5; }
code, pre { font-family: "IBM Plex Mono", "DejaVu Sans Mono", monospace; font-size: 0.87em;
  margin: 0; white-space: pre-wrap; overflow-wrap: anywhere; }
.beside { border-collapse: separate; border-spacing: 0; margin-top: 0.7em; }
.beside > tbody > tr > td { border: 0; padding: 0 5mm 0 0; }
@media screen { body { padding: 4mm; } }
@media print { body { background: none; } }
.unsettled { color: #a8261d; border: 1px solid #a8261d; padding: 1mm 2mm; }
.aside { font-style: italic; color: #58615f; }
.foot { font-size: 0.84em; color: #58615f; margin: 3mm 0 0; border-top: 0.5px solid #dad4c5; padding-top: 1mm; }
dl { margin: 0; }
dt { float: left; clear: left; color: #58615f; padding-right: 2mm; }
dd { margin: 0; text-align: right; }
img { display: block; }
CSS;

    private function part(Specification $specification, Part $part, bool $several): string
    {
        $head = $several
            ? '<h2>'
                .self::e($part->name)
                .($part->madeFrom === null ? '' : ' <span class="aside">made from '.self::e($part->madeFrom).'</span>')
                .'</h2>'
            : '';
        $consequences = Consequences::of($specification, $part);

        return $head
            .'<p class="said">'
            .self::e(Prose::of($part))
            .'</p>'
            .$this->table($part)
            .$this->beside($consequences);
    }

    private function table(Part $part): string
    {
        if ($part->requirements === []) {
            return '';
        }
        $rows = '';
        $group = null;
        foreach ($part->requirements as $requirement) {
            if ($requirement->descriptor->group !== $group) {
                $group = $requirement->descriptor->group;
                $rows .= '<tr class="group"><th colspan="3" scope="rowgroup">'.self::e($group->value).'</th></tr>';
            }
            $rows .= $this->row($requirement, $requirement->descriptor->label);
            foreach ($part->ofPasses as $pass => $own) {
                foreach ($requirement->id() === RequirementId::PASSES ? $own : [] as $each) {
                    $rows .= $this->row($each, "{$pass}: ".lcfirst($each->descriptor->label));
                }
            }
        }

        return '<table><thead><tr><th scope="col" style="width:23%">requirement</th><th scope="col" class="words" '
            .'style="width:30%">required</th><th scope="col" class="words">in words</th></tr></thead><tbody>'
            .$rows
            .'</tbody></table>';
    }

    private function row(Requirement $requirement, string $label): string
    {
        $should = $requirement->level === Level::Should ? ' <span class="aside">should</span>' : '';
        $why = $requirement->why === null ? '' : ' <span class="aside">('.self::e($requirement->why).')</span>';

        return '<tr><th scope="row">'
            .self::e($label)
            .$should
            .'</th><td class="value"><code>'
            .self::e($requirement->required())
            .'</code></td><td class="words">'
            .self::e($requirement->sentence())
            .$why
            .'</td></tr>';
    }

    private function beside(Consequences $consequences): string
    {
        $cells = [];
        if ($consequences->names !== null) {
            $cells[] = '<p class="aside" style="margin:0 0 1mm">Names</p><pre>'
                .self::e(implode("\n", $consequences->names->tree()))
                .'</pre>';
        }
        $drawings = (
            $consequences->shape === null ? '' : self::picture(Drawing::shape($consequences->shape, 100))
        ).($consequences->ruler === null ? '' : self::picture(Drawing::ruler($consequences->ruler, 200)));
        if ($drawings !== '') {
            $cells[] = $drawings;
        }
        if ($consequences->lines !== []) {
            $lines = implode(
                '',
                array_map(
                    static fn (array $l): string => '<tr><td style="white-space:nowrap">'
                        .self::e($l['label'])
                        .'</td><td style="text-align:right"><code>'
                        .self::e($l['value'])
                        .'</code></td></tr>',
                    $consequences->lines,
                ),
            );
            $cells[] = "<table><tbody>{$lines}</tbody></table>";
        }

        // names, drawings, figures: as wide as each needs to be
        $widths = [1 => [100], 2 => [40, 60], 3 => [25, 32, 43]][count($cells)] ?? [];
        $cells = array_map(
            static fn (string $cell, int $width): string => "<td style=\"width:{$width}%\">{$cell}</td>",
            $cells,
            $widths,
        );

        return $cells === [] ? '' : '<table class="beside"><tbody><tr>'.implode('', $cells).'</tr></tbody></table>';
    }

    private static function picture(string $svg): string
    {
        preg_match('~<title>(.*?)</title>~', $svg, $m);

        return '<img alt="'.($m[1] ?? '').'" src="data:image/svg+xml;base64,'.base64_encode($svg).'">';
    }

    private static function e(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8');
    }
}
