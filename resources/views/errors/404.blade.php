@extends('errors.frame')
@section('what', 'Nothing here')
@section('next')
@if (str_contains($exception->getMessage(), 'stone'))
{{ $exception->getMessage() }}
@else
There is no such page, job or entry. It may have been renamed.
@endif
@endsection
