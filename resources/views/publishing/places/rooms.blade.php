{{-- The list of known rooms. --}}
<h3>{{ __('publishing.places.rooms') }}</h3>
<form method="post" action="{{ route('places.rooms') }}" enctype="multipart/form-data">@csrf
    <label class="form-label" for="rooms">{{ __('publishing.places.rooms_hint') }}</label>
    <input class="form-control mb-2" id="rooms" name="rooms" type="file" accept=".csv,text/csv">
    @error('rooms')
        <div class="invalid" role="alert">{!! nl2br(e($message)) !!}</div>
    @enderror
    <button class="btn btn-side">{{ __('publishing.places.rooms_keep') }}</button>
</form>
