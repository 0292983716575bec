<?php

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

final class SessionController
{
    public function create(): View
    {
        return view('login');
    }

    public function store(Request $request): RedirectResponse
    {
        $given = $request->validate(['login' => 'required|string|max:60', 'password' => 'required|string|max:200'], ['required' => 'Both are wanted.']);
        if (! Auth::attempt($given)) {
            return back(303)->withInput($request->only('login'))->withErrors(['login' => 'This name and password do not go together.']);
        }
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/login', 303);
    }
}
