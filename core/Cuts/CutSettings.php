<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Measure\Refusal;

/** What a layout cuts its land from: school, thickness of sheets and of the skin over the foam, size of a sheet, what a cut takes and what stays free along a sheet's edges; mm. */
final readonly class CutSettings
{
    private function __construct(
        public CutSchool $school,
        public float $thickness,
        public float $skin,
        public float $sheetWidth,
        public float $sheetDepth,
        public float $kerf,
        public float $margin,
    ) {
    }

    /** @throws Refusal naming the value that cannot be */
    public static function of(CutSchool $school = CutSchool::Carved, float $thickness = 20.0, float $skin = 3.0, float $sheetWidth = 1250.0, float $sheetDepth = 600.0, float $kerf = 1.5, float $margin = 0.0): self
    {
        Refusal::unlessBetween($thickness, 3.0, 200.0, 'The thickness of the sheets', 'mm', 'cuts/sheet_mm');
        Refusal::unlessBetween($skin, 0.0, 30.0, 'The skin', 'mm', 'cuts/skin_mm');
        Refusal::unlessBetween($sheetWidth, 50.0, 5000.0, 'The width of a sheet', 'mm', 'cuts/sheet_width_mm');
        Refusal::unlessBetween($sheetDepth, 50.0, 5000.0, 'The depth of a sheet', 'mm', 'cuts/sheet_depth_mm');

        Refusal::unlessBetween($kerf, 0.0, 20.0, 'The kerf', 'mm', 'cuts/kerf_mm');
        Refusal::unlessBetween($margin, 0.0, 0.4 * min($sheetWidth, $sheetDepth), 'The margin', 'mm', 'cuts/margin_mm');

        return new self($school, $thickness, $skin, $sheetWidth, $sheetDepth, $kerf, $margin);
    }

    /** @return array<string, float|string> */
    public function toArray(): array
    {
        return [
            'school' => $this->school->value, 'sheet_mm' => $this->thickness, 'skin_mm' => $this->skin,
            'sheet_width_mm' => $this->sheetWidth, 'sheet_depth_mm' => $this->sheetDepth, 'kerf_mm' => $this->kerf, 'margin_mm' => $this->margin,
        ];
    }
}
