<?php

declare(strict_types=1);

namespace App\Actions\Land;

use App\Actions\FormInput;
use IdleRidge\Core\Track\FormationProfile;

/** What a form says of a formation. */
final class FormationInput
{
    /**
     * @param  FormationProfile  $shown what stood in the form; a value that still reads the same stays to its last digit
     * @return array<string, float> as FormationProfile::from() takes them
     */
    public static function read(FormInput $typed, FormationProfile $shown): array
    {
        $profile = $shown->toArray();
        foreach ($profile as $key => $value) {
            if ($typed->has("profile.{$key}")) {
                $profile[$key] = str_ends_with($key, '_mm')
                    ? $typed->length("profile.{$key}", $value, $value)
                    : $typed->number("profile.{$key}", $value);
            }
        }

        return $profile;
    }
}
