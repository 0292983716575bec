@foreach (['password' => 'Changed. You are signed out everywhere else.', 'code' => 'On. From the next sign-in a code is asked for too.', 'code-off' => 'Taken off: the password alone opens this account again.', 'ended' => 'Ended. Whoever used it is out at their next click.', 'gone' => 'It had ended already.',
    'person' => 'Saved.', 'person-ended' => 'Ended. What the account did stays on record under its name.', 'person-back' => 'Open again.', 'reset' => 'A new password stands. It is shown once, here.', 'code-removed' => 'Taken off: this account signs in with its password alone.'] as $what => $sentence)
@if (session('did') === $what)<p class="saved" role="status">{{ $sentence }}</p>@endif
@endforeach
