<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bridge\StickIdentity;
use App\Devices\Inspection\FileSource;
use App\Http\Asked;
use App\View\IdentifiedStick;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Which stick somebody holds: by what is printed on it, or by the first part of what is on it (rule M12). */
final class WhatStickController
{
    /** Which stick somebody holds. */
    public function said(Request $request, StickIdentity $identity): View
    {
        $said = mb_substr(trim(Asked::text($request, 'said')), 0, 600);

        return view('sticks.what', [
            'said' => $said,
            'read' => false,
            'found' => $said === '' ? [] : array_map(
                static fn (array $found): IdentifiedStick => new IdentifiedStick($found),
                $identity->of($said),
            ),
        ]);
    }

    /** Which stick somebody holds, by the first part of it. */
    public function read(Request $request, StickIdentity $identity): View
    {
        $request->validate(['start' => 'required|file|min:64|max:49152'], [
            'start.required' => 'Choose the file with the first part of the stick.',
            'start.min' => 'The first 64 KiB at least are needed.',
            'start.max' => 'The first 48 MiB are more than enough: send less of it.',
        ]);
        $file = Asked::file($request, 'start') ?? abort(422);

        return view('sticks.what', ['said' => '', 'read' => true, 'found' => array_map(
            static fn (array $found): IdentifiedStick => new IdentifiedStick($found),
            $identity->ofStart(new FileSource((string) $file->getRealPath())),
        )]);
    }
}
