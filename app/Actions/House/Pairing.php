<?php

declare(strict_types=1);

namespace App\Actions\House;

use App\Models\Role;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Support\Facades\RateLimiter;
use Psr\Clock\ClockInterface;

/**
 * The pairing code: it lets one other device in, once, within ten minutes. Its eight letters and digits, without those that
 * look alike, are 40 bits.
 */
final readonly class Pairing
{
    public const PAIRING_CODE_LENGTH = 8;

    public const PAIRING_CODE_SECONDS = 600;

    private const PAIRING_CODE_LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    /**
     * So many tries a minute from one address, and from all of them; then each address has one a minute, so that nobody locks the owner
     * out.
     */
    private const MAX_TRIES_PER_ADDRESS = 5;

    private const MAX_TRIES_IN_ALL = 40;

    private const WINDOW_SECONDS = 60;

    public function __construct(private ClockInterface $clock)
    {
    }

    /** A new code in the place of any before. */
    public function begin(Role $role): string
    {
        $code = '';
        for ($k = 0; $k < self::PAIRING_CODE_LENGTH; $k++) {
            $code .= self::PAIRING_CODE_LETTERS[random_int(0, 31)];
        }
        $until = $this->clock->now()->getTimestamp() + self::PAIRING_CODE_SECONDS;
        file_put_contents(
            self::file(),
            json_encode(['hash' => password_hash($code, PASSWORD_DEFAULT), 'until' => $until, 'role' => $role->value], JSON_THROW_ON_ERROR),
            LOCK_EX,
        );
        chmod(self::file(), 0600);

        return substr($code, 0, 4).'-'.substr($code, 4);
    }

    /**
     * @return Role what the device may do
     *
     * @throws InvalidValue when it is not the code, was used, is too old, or was tried too often
     */
    public function with(string $code, string $address): Role
    {
        $this->unlessTriedTooOften($address);
        $kept = is_file(self::file()) ? json_decode((string) file_get_contents(self::file()), true) : null;
        if (! is_array($kept) || $kept['until'] < $this->clock->now()->getTimestamp()) {
            throw new InvalidValue('That code was used already, or is older than ten minutes; ask for a new one at the bench.', 'code');
        }
        // What is read as another letter or digit is meant as that.
        $typed = strtr(strtoupper((string) preg_replace('/[^0-9A-Za-z]/', '', $code)), ['O' => '0', 'I' => '1', 'L' => '1', 'U' => 'V']);
        // Whoever takes the file away first is the one it lets in.
        if (! password_verify($typed, $kept['hash']) || ! @unlink(self::file())) {
            throw new InvalidValue('That is not the code.', 'code');
        }
        RateLimiter::clear("pair:{$address}");

        return Role::from($kept['role']);
    }

    private function unlessTriedTooOften(string $address): void
    {
        $most = RateLimiter::attempts('pair') >= self::MAX_TRIES_IN_ALL ? 1 : self::MAX_TRIES_PER_ADDRESS;
        if (RateLimiter::tooManyAttempts("pair:{$address}", $most)) {
            throw new InvalidValue('Tried too often: wait a minute.', 'code');
        }
        RateLimiter::hit("pair:{$address}", self::WINDOW_SECONDS);
        RateLimiter::hit('pair', self::WINDOW_SECONDS);
    }

    private static function file(): string
    {
        return (string) config('ridge.pairing');
    }
}
