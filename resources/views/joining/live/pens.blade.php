{{-- What the teacher does on the sheet. page: DeskPage --}}
<section class="a-pens">
    <div class="d-flex gap-2 flex-wrap align-items-center">
        <button class="btn btn-side" type="button" data-pen="line" x-on:click="choose" aria-pressed="false">{{ __(
            'live.sheet.draw') }}</button>
        <button class="btn btn-side" type="button" data-pen="text" x-on:click="choose"
            aria-pressed="false">{{ __('live.sheet.write') }}</button>
        <button class="btn btn-side" type="button" data-pen="point" x-on:click="choose"
            aria-pressed="false">{{ __('live.sheet.point') }}</button>
        <label class="btn btn-side mb-0">{{ __('live.sheet.picture') }}<input class="visually-hidden" type="file"
                accept="image/png,image/jpeg,image/webp,image/gif" x-on:change="picture"></label>
        <x-live.act :live="$page->live" act="wipe" class="btn-side" :do="__('live.sheet.wipe')" />
    </div>
    <form class="d-flex gap-2 mt-2" method="post" action="{{ $page->live->page }}" x-on:submit="write">@csrf
        <input type="hidden" name="act" value="mark"><input type="hidden" name="kind" value="text">
        <input type="hidden" name="rehearsal" value="{{ $page->live->isRehearsal ? 1 : 0 }}">
        <input type="hidden" name="x" value="300"><input type="hidden" name="y" value="280">
        <label class="visually-hidden" for="sheet-text">{{ __('live.sheet.text') }}</label>
        <input class="form-control" id="sheet-text" name="text" maxlength="120" placeholder="{{ __('live.sheet.text') }}" x-ref="words">
        <button class="btn btn-side text-nowrap">{{ __('live.sheet.put') }}</button>
    </form>
</section>
