<?php

namespace App\Models;

use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;

/**
 * A role at the bench that signs in; never a named person.
 *
 * @property int $id
 * @property string $login
 * @property string $title
 * @property string $role lead, technician or viewer
 * @property string $password
 * @property bool $must_change whether the password has to be changed before anything else
 * @property string|null $code_secret secret of the time-based codes, in base 32
 * @property int $code_step
 * @property Carbon|null $ended_at
 * @property Carbon|null $updated_at
 */
final class User extends Authenticatable
{
    use StartsByName;

    public const ROLES = ['lead', 'technician', 'viewer'];

    protected $table = 'users';

    protected $fillable = ['login', 'title', 'role', 'password', 'must_change'];

    protected $hidden = ['password', 'remember_token', 'code_secret'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'must_change' => 'boolean',
            'code_secret' => 'encrypted',
            'code_step' => 'integer',
            'ended_at' => 'datetime',
        ];
    }

    public function isLead(): bool
    {
        return $this->role === 'lead';
    }

    public function mayWork(): bool
    {
        return $this->role !== 'viewer';
    }

    public function isHere(): bool
    {
        return $this->ended_at === null;
    }

    /** Whether a code is asked for besides the password. */
    public function hasCode(): bool
    {
        return $this->getRawOriginal('code_secret') !== null;
    }

    /** What an edit form was made from; a later change gives another. */
    public function version(): string
    {
        return hash(
            'sha256',
            implode('|', [
                $this->title,
                $this->role,
                (string) $this->ended_at?->timestamp,
                $this->password,
                $this->hasCode() ? 'yes' : 'no',
            ]),
        );
    }
}
