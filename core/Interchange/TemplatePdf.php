<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use FPDF;
use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Cuts\TemplatePages;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\RoundSteps;

/**
 * Templates at full size on pages to be glued together: a map of the pages first, then those on which a line lies, with
 * overlap marks, the page's name, an arrow to the board's back and a bar of 100 mm to check the printer by.
 */
final class TemplatePdf extends FPDF
{
    private const CROSS = 4.0;

    /** @param  list<Template>  $templates */
    public static function of(array $templates, string $paper, string $title, bool $compressed = true): string
    {
        $pdf = new self('P', 'mm', TemplatePages::PAPERS[$paper] ?? TemplatePages::PAPERS['a4']);
        $pdf->SetCompression($compressed);
        $pdf->SetAutoPageBreak(false);
        $pdf->SetTitle($title, true);
        $pdf->SetCreator('Idle Ridge', true);
        foreach ($templates as $template) {
            if ($template->outlines() !== []) {
                $pdf->template($template, TemplatePages::of($template->outlines(), $paper), $title);
            }
        }
        if ($pdf->PageNo() === 0) {
            $pdf->AddPage();
            $pdf->words(20.0, 30.0, 'There is nothing to cut here.', 12.0);
        }

        return (string) $pdf->Output('S');
    }

    private function template(Template $template, TemplatePages $tiling, string $title): void
    {
        if (count($tiling->pages) > 1) {
            $this->map($template, $tiling, $title);
        }
        foreach ($tiling->pages as [$col, $row]) {
            $this->page($template, $tiling, $col, $row, $title);
        }
    }

    private function page(Template $template, TemplatePages $tiling, int $col, int $row, string $title): void
    {
        $this->begin($tiling);
        [$x1, $y1, $x2, $y2] = $tiling->part($col, $row);
        [$left, $top] = [TemplatePages::PAGE_MARGIN_MM, TemplatePages::PAGE_MARGIN_MM];
        [$w, $h] = [$x2 - $x1, $y2 - $y1];
        $at = fn (array $p): array => [$left + $p[0] - $x1, $top + $y2 - $p[1]];
        $this->clip($left, $top, $w, $h);
        $this->drawn($template, $at);
        $this->_out('Q');
        // Where the next page begins: crosses in the middle of what both show.
        $this->SetLineWidth(0.1);
        $half = TemplatePages::PAGE_OVERLAP_MM / 2.0;
        foreach (
            [
                [$half, $half, $col > 0, $row > 0],
                [$w - $half, $half, $col < $tiling->cols - 1, $row > 0],
                [$half, $h - $half, $col > 0, $row < $tiling->rows - 1],
                [$w - $half, $h - $half, $col < $tiling->cols - 1, $row < $tiling->rows - 1],
            ] as [$dx, $dy, $aside, $along]
        ) {
            if ($aside || $along) {
                [$x, $y] = $at([$x1 + $dx, $y1 + $dy]);
                $this->Line($x - self::CROSS, $y, $x + self::CROSS, $y);
                $this->Line($x, $y - self::CROSS, $x, $y + self::CROSS);
            }
        }
        $this->Rect($left, $top, $w, $h);
        $this->foot($tiling, $template->title.(count($tiling->pages) > 1 ? ', page '.$tiling->name($col, $row) : ''), $title);
    }

    /** @param  callable(array{float, float}): array{float, float}  $at */
    private function drawn(Template $template, callable $at): void
    {
        $this->SetLineWidth(0.35);
        foreach ($template->cut as $ring) {
            $this->way(array_map($at, $ring), true);
        }
        $this->SetLineWidth(0.2);
        $this->_out('[4 3] 0 d');
        foreach ($template->marked as $ring) {
            $this->way(array_map($at, $ring), true);
        }
        $this->_out('[] 0 d');
        foreach ($template->lines as $line) {
            $this->way(array_map($at, $line), false);
        }
        foreach ($template->dowels as $p) {
            [$x, $y] = $at($p);
            $this->Line($x - 3.0, $y, $x + 3.0, $y);
            $this->Line($x, $y - 3.0, $x, $y + 3.0);
            $this->way(
                array_map(fn (int $k): array => [$x + 1.6 * cos(($k * M_PI) / 8.0), $y + 1.6 * sin(($k * M_PI) / 8.0)], range(0, 15)),
                true,
            );
        }
        foreach ($template->words as [$x, $y, $text]) {
            [$px, $py] = $at([$x, $y]);
            $this->words($px + 2.0, $py, $text, 9.0);
        }
    }

    /** All pages small, with the outline over them. */
    private function map(Template $template, TemplatePages $tiling, string $title): void
    {
        $this->begin($tiling);
        [$x1, $y1] = $tiling->part(0, 0);
        [, , $x2, $y2] = $tiling->part($tiling->cols - 1, $tiling->rows - 1);
        [$w, $h] = [
            $tiling->width - 2.0 * TemplatePages::PAGE_MARGIN_MM,
            $tiling->height - 2.0 * TemplatePages::PAGE_MARGIN_MM - TemplatePages::PAGE_FOOT_MM - 12.0,
        ];
        $scale = min($w / ($x2 - $x1), $h / ($y2 - $y1));
        $at = fn (array $p): array => [
            TemplatePages::PAGE_MARGIN_MM + ($p[0] - $x1) * $scale,
            TemplatePages::PAGE_MARGIN_MM + 12.0 + ($y2 - $p[1]) * $scale,
        ];
        $this->words(
            TemplatePages::PAGE_MARGIN_MM,
            TemplatePages::PAGE_MARGIN_MM + 5.0,
            $template->title.': '.count($tiling->pages).' pages',
            12.0,
        );
        $this->SetLineWidth(0.1);
        foreach ($tiling->pages as [$col, $row]) {
            [$a, $b, $c, $d] = $tiling->part($col, $row);
            [$left, $top] = $at([$a, $d]);
            $this->Rect($left, $top, ($c - $a) * $scale, ($d - $b) * $scale);
            $this->words($left + 1.5, $top + 4.0, $tiling->name($col, $row), 7.0);
        }
        $this->SetLineWidth(0.4);
        foreach ($template->cut as $ring) {
            $this->way(array_map($at, $ring), true);
        }
        $this->SetLineWidth(0.2);
        foreach ($template->lines as $line) {
            $this->way(array_map($at, $line), false);
        }
        $this->foot($tiling, 'the map is not to scale', $title);
    }

    private function begin(TemplatePages $tiling): void
    {
        $this->AddPage($tiling->width > $tiling->height ? 'L' : 'P', [
            min($tiling->width, $tiling->height),
            max($tiling->width, $tiling->height),
        ]);
        // Lines end where they end: the check bar is as long as it says and not a stroke's width more.
        $this->_out('0 J');
    }

    private function foot(TemplatePages $tiling, string $left, string $title): void
    {
        $y = $tiling->height - TemplatePages::PAGE_MARGIN_MM - 3.0;
        $this->words(TemplatePages::PAGE_MARGIN_MM, $y, $left, 8.0);
        $this->words(TemplatePages::PAGE_MARGIN_MM, $y - 4.0, $title, 6.5);
        $this->words(TemplatePages::PAGE_MARGIN_MM, $y - 7.4, 'Cut away from the body with a fresh blade; mask for the dust.', 6.0);
        $bar = RoundSteps::printBar();
        $x = $tiling->width - TemplatePages::PAGE_MARGIN_MM - $bar;
        $this->SetLineWidth(0.3);
        $this->Line($x, $y, $x + $bar, $y);
        foreach ([0.0, $bar / 2.0, $bar] as $mm) {
            $this->Line($x + $mm, $y - 1.5, $x + $mm, $y + 1.5);
        }
        $this->words($x + $bar / 2.0 + 2.0, $y - 1.5, Format::length($bar).': measure it before you cut', 6.0);
        // To the back of the board.
        $this->Line($x - 8.0, $y + 2.0, $x - 8.0, $y - 6.0);
        $this->Line($x - 8.0, $y - 6.0, $x - 9.5, $y - 3.0);
        $this->Line($x - 8.0, $y - 6.0, $x - 6.5, $y - 3.0);
        $this->words($x - 16.5, $y - 4.5, 'back', 6.0);
    }

    private function words(float $x, float $y, string $text, float $points): void
    {
        $this->SetFont('Helvetica', '', $points);
        $this->Text($x, $y, (string) iconv('UTF-8', 'windows-1252//TRANSLIT', $text));
    }

    private function clip(float $x, float $y, float $w, float $h): void
    {
        $this->_out(sprintf('q %.4F %.4F %.4F %.4F re W n', $x * $this->k, ($this->h - $y - $h) * $this->k, $w * $this->k, $h * $this->k));
    }

    /** @param  list<array{float, float}>  $points */
    private function way(array $points, bool $closed): void
    {
        foreach ($points as $k => [$x, $y]) {
            $this->_out(sprintf('%.4F %.4F %s', $x * $this->k, ($this->h - $y) * $this->k, $k === 0 ? 'm' : 'l'));
        }
        $this->_out($closed ? 's' : 'S');
    }
}
