<?php

namespace App\Http\Controllers;

use App\Actions\NameShop;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

final class ShopNameController
{
    public function update(Request $request, NameShop $naming): RedirectResponse
    {
        $most = NameShop::LONGEST;
        $given = $request->validate(['shop' => ['nullable', 'string', "max:{$most}", 'regex:/^(?:\P{C}|\s)*$/u']], [
            'shop.*' => "A name of at most {$most} signs, in one line and without hidden ones; none takes it off.",
        ]);
        $naming->handle(Str::squish($given['shop'] ?? ''), $request->input('as_seen'), $request->user());

        return redirect('/policy', 303)->with('did', 'named');
    }
}
