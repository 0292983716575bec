<?php

namespace App\Models;

use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * A role at the bench that signs in; never a named person.
 *
 * @property int $id
 * @property string $login
 * @property string $title
 * @property string $role lead, technician or viewer
 */
final class User extends Authenticatable
{
    public const ROLES = ['lead', 'technician', 'viewer'];

    protected $fillable = ['login', 'title', 'role', 'password'];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed'];
    }

    public function isLead(): bool
    {
        return $this->role === 'lead';
    }

    public function mayWork(): bool
    {
        return $this->role !== 'viewer';
    }
}
