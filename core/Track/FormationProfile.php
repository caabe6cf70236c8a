<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Side;

/**
 * The cross-section of a run: thicknesses above the formation (mm), half-widths of the level strip to each side (mm, the
 * ditch within them), and batters as run over rise: 1.5 is one up for one and a half out.
 */
final readonly class FormationProfile
{
    /** Steepest batter: near-vertical rock. */
    public const MIN_BATTER = 0.02;

    private const DEFAULTS = [
        'roadbed_mm' => 5.0, 'sleeper_mm' => 1.8, 'rail_mm' => 2.0,
        'half_width_left_mm' => 26.0, 'half_width_right_mm' => 26.0,
        'ditch_width_mm' => 6.0, 'ditch_depth_mm' => 0.0,
        'batter_cut_left' => 1.0, 'batter_cut_right' => 1.0,
        'batter_fill_left' => 1.5, 'batter_fill_right' => 1.5,
    ];

    /** @param  array<string, float>  $values */
    private function __construct(private array $values)
    {
    }

    /**
     * @param  array<string, float>  $values what is not given takes a starting value
     *
     * @throws InvalidValue naming the value that cannot be
     */
    public static function from(array $values = []): self
    {
        $unknown = array_diff_key($values, self::DEFAULTS);
        if ($unknown !== []) {
            throw new InvalidValue('“'.array_key_first($unknown).'” is not a part of a track profile.', 'profile');
        }
        $values += self::DEFAULTS;
        foreach ($values as $key => $value) {
            $name = ucfirst(str_replace('_', ' ', (string) preg_replace('/_mm$/', '', $key)));
            [$least, $most, $unit] = match (true) {
                str_starts_with($key, 'batter') => [self::MIN_BATTER, 20.0, ''],
                str_starts_with($key, 'half_width') => [5.0, 500.0, 'mm'],
                default => [0.0, 200.0, 'mm'],
            };
            InvalidValue::unlessBetween($value, $least, $most, $name, $unit, "profile/{$key}");
        }
        foreach (['left', 'right'] as $side) {
            if ($values['ditch_depth_mm'] > 0.0 && $values['ditch_width_mm'] > $values["half_width_{$side}_mm"] - 2.0) {
                throw new InvalidValue('The ditch leaves no room for the track on the '.$side.'.', 'profile/ditch_width_mm');
            }
        }
        ksort($values);

        return new self($values);
    }

    /** @return array<string, float> */
    public function toArray(): array
    {
        return $this->values;
    }

    /** Top of rail over the formation, mm. */
    public function railTop(): float
    {
        return $this->values['roadbed_mm'] + $this->values['sleeper_mm'] + $this->values['rail_mm'];
    }

    /** Height of the roadbed over the formation, mm. */
    public function roadbed(): float
    {
        return $this->values['roadbed_mm'];
    }

    /** Height of the sleepers over the roadbed, mm. */
    public function sleeper(): float
    {
        return $this->values['sleeper_mm'];
    }

    public function halfWidth(Side $side): float
    {
        return $this->values["half_width_{$side->value}_mm"];
    }

    /** Run over rise. */
    public function batterInCut(Side $side): float
    {
        return $this->values["batter_cut_{$side->value}"];
    }

    /** Run over rise. */
    public function batterInFill(Side $side): float
    {
        return $this->values["batter_fill_{$side->value}"];
    }

    public function ditchWidth(): float
    {
        return $this->values['ditch_width_mm'];
    }

    public function ditchDepth(): float
    {
        return $this->values['ditch_depth_mm'];
    }
}
