<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;

/**
 * How many wrong tries are borne: by account, and by address. Only wrong ones count, and nothing is hashed once it is
 * enough.
 * Somebody else's wrong tries do not lock a person out at an address where they have signed in before.
 */
final class SignInThrottle
{
    /** Wrong tries in five minutes. */
    public const PER_ACCOUNT = 8;

    public const PER_ADDRESS = 40;

    private const SECONDS = 300;

    private const KNOWN_DAYS = 30;

    private readonly string $account;

    private readonly string $known;

    private readonly string $from;

    public function __construct(string $login, string $address)
    {
        $name = hash('sha256', Str::lower($login));
        $this->known = "sign-in:known:{$name}:{$address}";
        $this->account = Cache::has($this->known) ? "sign-in:{$name}:{$address}" : "sign-in:{$name}";
        $this->from = "sign-in:from:{$address}";
    }

    /** Seconds to wait; null while another try is borne. */
    public function wait(): ?int
    {
        $waits = [];
        foreach ([[$this->account, self::PER_ACCOUNT], [$this->from, self::PER_ADDRESS]] as [$key, $most]) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                $waits[] = max(1, RateLimiter::availableIn($key));
            }
        }

        return $waits === [] ? null : max($waits);
    }

    public function wrong(): void
    {
        RateLimiter::hit($this->account, self::SECONDS);
        RateLimiter::hit($this->from, self::SECONDS);
    }

    public function right(): void
    {
        RateLimiter::clear($this->account);
        Cache::put($this->known, true, now()->addDays(self::KNOWN_DAYS));
    }
}
