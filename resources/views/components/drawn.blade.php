@props(['of'])
{{-- What a form was drawn from, so that nobody overwrites unseen what somebody else has saved since. --}}
<input type="hidden" name="_drawn" value="{{ old('_drawn', \Nomada\App\Queries\FormVersion::field($of)) }}">
