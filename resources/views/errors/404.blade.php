@extends('errors.frame')
@section('what', 'Nothing here')
@section('next'){{ str_contains($exception->getMessage(), 'stone') ? $exception->getMessage() : 'There is no such page, job or entry. It may have been renamed.' }}@endsection
