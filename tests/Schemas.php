<?php

declare(strict_types=1);

namespace Tests;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;

/** Holds what is printed and written against docs/formats. */
final class Schemas
{
    public static function assertMatches(string $name, string $json): void
    {
        $validator = new Validator;
        foreach (glob(__DIR__.'/../docs/formats/*.schema.json') ?: [] as $file) {
            $validator->resolver()?->registerRaw((string) file_get_contents($file));
        }
        $result = $validator->validate(json_decode($json, false, 512, JSON_THROW_ON_ERROR), "ridge:{$name}");
        $error = $result->error();
        Assert::assertTrue($error === null, $error === null ? '' : (string) json_encode((new ErrorFormatter)->format($error)));
    }
}
