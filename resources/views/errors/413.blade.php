@extends('errors.frame')
@section('what', 'Too much at once')
@section('next')
More was sent than a page may send (64 MB). Nothing was stored. Go back: what you typed is still in the form.@endsection
