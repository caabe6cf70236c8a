<?php

declare(strict_types=1);

namespace App\Pages\Drawing;

use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Interchange\TemplateDxf;
use IdleRidge\Core\Interchange\TemplatePdf;
use IdleRidge\Core\Interchange\TemplateSvg;
use IdleRidge\Core\Measure\InvalidValue;

/** Templates at full size as a file to print or cut from. */
final class TemplateFile
{
    private const TYPES = ['pdf' => 'application/pdf', 'svg' => 'image/svg+xml', 'dxf' => 'image/vnd.dxf'];

    /**
     * @param  string  $form pdf, svg or dxf
     * @param  list<Template>  $templates
     * @param  string  $paper for a PDF, with `$heading` on each sheet
     * @return array{name: string, type: string, body: string}
     *
     * @throws InvalidValue for paper that is not known
     */
    public static function of(string $form, string $name, array $templates, string $paper, string $heading): array
    {
        $body = match ($form) {
            'pdf' => TemplatePdf::of($templates, $paper, $heading),
            'svg' => TemplateSvg::of($templates),
            default => TemplateDxf::write($templates),
        };

        return ['name' => "{$name}.{$form}", 'type' => self::TYPES[$form], 'body' => $body];
    }
}
