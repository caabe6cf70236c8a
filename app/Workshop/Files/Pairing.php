<?php

declare(strict_types=1);

namespace App\Workshop\Files;

use IdleRidge\Core\Measure\Refusal;
use Illuminate\Support\Facades\RateLimiter;

/** A code of six digits that lets one other machine in, once. */
final class Pairing
{
    public const SESSION = 'paired';

    private const TRIES = 5;

    private const SECONDS = 60;

    /** A new code in the place of any before. */
    public static function begin(): string
    {
        $code = (string) random_int(100_000, 999_999);
        file_put_contents(self::file(), password_hash($code, PASSWORD_DEFAULT), LOCK_EX);
        chmod(self::file(), 0600);

        return $code;
    }

    /** @throws Refusal when it is not the code, was used, or was tried too often */
    public static function with(string $code): void
    {
        if (RateLimiter::tooManyAttempts('pair', self::TRIES)) {
            throw new Refusal('Tried too often: wait a minute.', 'code');
        }
        RateLimiter::hit('pair', self::SECONDS);
        $kept = is_file(self::file()) ? (string) file_get_contents(self::file()) : '';
        if ($kept === '' || ! password_verify((string) preg_replace('/\D/', '', $code), $kept)) {
            throw new Refusal($kept === '' ? 'That code was used already; ask for a new one at the bench.' : 'That is not the code.', 'code');
        }
        unlink(self::file());
        RateLimiter::clear('pair');
    }

    private static function file(): string
    {
        return (string) config('ridge.pairing');
    }
}
