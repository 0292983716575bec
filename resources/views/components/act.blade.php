@props(['to', 'seen' => null])
<form method="post" action="{{ $to }}" {{ $attributes }}>@csrf
@isset($seen)
<input type="hidden" name="seen" value="{{ $seen }}">
@endisset
{{ $slot }}</form>
