<?php

declare(strict_types=1);

namespace App\Account;

use App\Models\User;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/** What a password must be, and those that a lead hands over to be changed at once. */
final class Passwords
{
    /** The one of the demo world; a shop of its own never has it. */
    public const DEMO = 'quillport';

    private const SHORTEST = 10;

    /** Bytes that the hash takes in; what comes after them would not count. */
    private const LONGEST = 72;

    /** Without signs that are taken for one another. */
    private const SIGNS = 'abcdefghjkmnpqrstuvwxyz23456789';

    /** A password to be read aloud once: four groups of four, about 79 bits. */
    public static function toHandOver(): string
    {
        $sign = static fn (): string => self::SIGNS[random_int(0, strlen(self::SIGNS) - 1)];

        return implode('-', array_map(static fn (): string => $sign().$sign().$sign().$sign(), range(1, 4)));
    }

    /** @throws ValidationException at the field */
    public static function mustBeGood(string $password, User $of, string $field = 'password'): void
    {
        $fault = match (true) {
            mb_strlen($password) < self::SHORTEST => 'At least '.
                self::SHORTEST.
                ' characters: three words in a row do.',
            strlen($password) > self::LONGEST => 'At most '.
                self::LONGEST.
                ' bytes: what comes after would not count.',
            mb_strtolower($password) === mb_strtolower($of->login) ||
                mb_strtolower($password) === mb_strtolower($of->title) => 'Not the name itself.',
            str_contains(mb_strtolower($password), self::DEMO) => 'Not the password of the demo world.',
            count(array_unique(mb_str_split($password))) < 4 => 'More than three different signs.',
            Hash::check($password, $of->password) => 'Another one than before.',
            default => null,
        };
        if ($fault !== null) {
            throw ValidationException::withMessages([$field => $fault]);
        }
    }

    /** @return list<string> names at the bench that still sign in with the demo world's password */
    public static function demoStands(): array
    {
        return array_values(
            User::query()
                ->where('ended_at', null)
                ->get()
                ->filter(static fn (User $user): bool => Hash::check(self::DEMO, $user->password))
                ->map(static fn (User $user): string => $user->login)
                ->all(),
        );
    }
}
