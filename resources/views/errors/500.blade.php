@extends('errors.frame')
@section('what', 'Something went wrong here')
@section('next')
Nothing was stored by this. The log under storage/logs says what happened; going back and trying once more is
safe.@endsection
