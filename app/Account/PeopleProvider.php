<?php

declare(strict_types=1);

namespace App\Account;

use App\Models\User;
use Illuminate\Auth\EloquentUserProvider;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Contracts\Hashing\Hasher;

/** Whose session it is came with the session: no second question to the database for every page. */
final class PeopleProvider extends EloquentUserProvider
{
    public function __construct(Hasher $hasher, private readonly SessionTable $sessions)
    {
        parent::__construct($hasher, User::class);
    }

    /** @param  mixed  $identifier */
    public function retrieveById($identifier): ?Authenticatable
    {
        $row = $this->sessions->person();
        if ($row === null || ($row['id'] ?? null) !== $identifier) {
            return parent::retrieveById($identifier);
        }

        return (new User)->newFromBuilder($row);
    }
}
