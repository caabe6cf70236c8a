<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

/** Builds one SVG drawing, mark by mark, everything escaped; looks come from classes alone. */
final class Svg
{
    private string $body = '';

    private string $defs = '';

    /** @param  array<string, string|int|float>  $attributes of the svg element */
    public function __construct(
        public readonly float $width,
        public readonly float $height,
        private readonly string $label,
        private readonly array $attributes = [],
    ) {
    }

    /** @param  array<string, string|int|float>  $attributes */
    public function path(string $class, string $d, array $attributes = []): self
    {
        return $d === '' ? $this : $this->mark('path', ['class' => $class, 'd' => $d] + $attributes);
    }

    /** @param  array<string, string|int|float>  $attributes */
    public function line(string $class, float $x1, float $y1, float $x2, float $y2, array $attributes = []): self
    {
        return $this->path($class, 'M'.self::n($x1).' '.self::n($y1).'L'.self::n($x2).' '.self::n($y2), $attributes);
    }

    /** @param  array<string, string|int|float>  $attributes */
    public function circle(string $class, float $x, float $y, float $r, array $attributes = []): self
    {
        return $this->mark('circle', ['class' => $class, 'cx' => self::n($x), 'cy' => self::n($y), 'r' => self::n($r)] + $attributes);
    }

    /** @param  array<string, string|int|float>  $attributes */
    public function rect(string $class, float $x, float $y, float $width, float $height, array $attributes = []): self
    {
        return $this->mark(
            'rect',
            [
                'class' => $class,
                'x' => self::n($x),
                'y' => self::n($y),
                'width' => self::n(max(0.0, $width)),
                'height' => self::n(max(0.0, $height)),
            ] + $attributes,
        );
    }

    /** @param  'start'|'middle'|'end'  $anchor */
    public function text(string $class, float $x, float $y, string $text, string $anchor = 'start'): self
    {
        $this->body .=
            '<text'.
            self::attributes(['class' => $class, 'x' => self::n($x), 'y' => self::n($y), 'text-anchor' => $anchor]).
            '>'.
            XmlText::escape($text).
            '</text>';

        return $this;
    }

    /** @param  array<string, string|int|float>  $attributes */
    public function image(string $href, float $x, float $y, float $width, float $height, array $attributes = []): self
    {
        return $this->mark(
            'image',
            [
                'href' => $href,
                'x' => self::n($x),
                'y' => self::n($y),
                'width' => self::n($width),
                'height' => self::n($height),
                'preserveAspectRatio' => 'none',
            ] + $attributes,
        );
    }

    /** @param  array<string, string|int|float>  $attributes */
    public function open(array $attributes = []): self
    {
        $this->body .= '<g'.self::attributes($attributes).'>';

        return $this;
    }

    public function close(): self
    {
        $this->body .= '</g>';

        return $this;
    }

    /** A part that leads somewhere; it needs a label where it holds no words. */
    public function link(string $href, string $label = ''): self
    {
        $this->body .= '<a'.self::attributes(['href' => $href] + ($label === '' ? [] : ['aria-label' => $label])).'>';

        return $this;
    }

    public function endLink(): self
    {
        $this->body .= '</a>';

        return $this;
    }

    /** Marks of the house, never anything that was typed. */
    public function raw(string $marks): self
    {
        $this->body .= $marks;

        return $this;
    }

    /** What a mark says on hover and to a reader: goes inside an open group, first. */
    public function title(string $text): self
    {
        $this->body .= '<title>'.XmlText::escape($text).'</title>';

        return $this;
    }

    public function clip(string $id, float $x, float $y, float $width, float $height): self
    {
        $this->defs .=
            '<clipPath id="'.
            XmlText::escape($id).
            '"><rect'.
            self::attributes(['x' => self::n($x), 'y' => self::n($y), 'width' => self::n($width), 'height' => self::n($height)]).
            '/></clipPath>';

        return $this;
    }

    public function clipPath(string $id, string $d): self
    {
        $this->defs .= '<clipPath id="'.XmlText::escape($id).'"><path d="'.XmlText::escape($d).'"/></clipPath>';

        return $this;
    }

    /** A pattern of what another drawing holds, repeated. */
    public function pattern(string $id, float $width, float $height, self $tile): self
    {
        $this->defs .=
            '<pattern'.
            self::attributes(['id' => $id, 'width' => $width, 'height' => $height, 'patternUnits' => 'userSpaceOnUse']).
            '>'.
            $tile->body.
            '</pattern>';

        return $this;
    }

    /** A hatch of parallel lines, or of dots when `$angle` is null. */
    public function hatch(string $id, string $class, float $size, ?float $angle): self
    {
        $this->defs .=
            '<pattern'.
            self::attributes(
                ['id' => $id, 'width' => $size, 'height' => $size, 'patternUnits' => 'userSpaceOnUse'] +
                    ($angle === null ? [] : ['patternTransform' => "rotate({$angle})"]),
            ).
            '>'.
            ($angle === null
                ? '<circle'.
                    self::attributes(['class' => $class, 'cx' => $size / 4, 'cy' => $size / 4, 'r' => 0.7]).
                    '/><circle'.
                    self::attributes(['class' => $class, 'cx' => (3 * $size) / 4, 'cy' => (3 * $size) / 4, 'r' => 0.7]).
                    '/>'
                : '<path'.self::attributes(['class' => $class, 'd' => "M0 0V{$size}"]).'/>').
            '</pattern>';

        return $this;
    }

    public function toHtml(): string
    {
        $attributes = self::attributes(
            $this->attributes + [
                'viewBox' => '0 0 '.self::n($this->width).' '.self::n($this->height),
                'role' => 'img',
                'aria-label' => $this->label,
            ],
        );

        return '<svg'.$attributes.'>'.($this->defs === '' ? '' : '<defs>'.$this->defs.'</defs>').$this->body.'</svg>';
    }

    /**
     * @param  iterable<array{float, float}>  $points already in the drawing's units
     */
    public static function d(iterable $points, bool $closed = false): string
    {
        $d = '';
        $last = '';
        $count = 0;
        foreach ($points as [$x, $y]) {
            $at = self::n($x).' '.self::n($y);
            if ($at !== $last) {
                $d .= ['M', 'L'][$count++] ?? ' ';
                $d .= $at;
                $last = $at;
            }
        }

        return $closed && $d !== '' ? $d.'Z' : $d;
    }

    public static function n(float $value): string
    {
        $rounded = round($value, 1);

        return $rounded === 0.0 ? '0' : (string) $rounded;
    }

    /** @param  array<string, string|int|float>  $attributes */
    private function mark(string $name, array $attributes): self
    {
        $this->body .= '<'.$name.self::attributes($attributes).'/>';

        return $this;
    }

    /** @param  array<string, string|int|float>  $attributes */
    private static function attributes(array $attributes): string
    {
        $out = '';
        foreach ($attributes as $name => $value) {
            $out .= ' '.$name.'="'.XmlText::escape((string) $value).'"';
        }

        return $out;
    }
}
