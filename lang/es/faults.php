<?php

// What went wrong with what somebody typed, and how to mend it, where students and guardians read it.
return [
    'password' => [
        'many' => 'Demasiadas contraseñas incorrectas. Inténtalo de nuevo dentro de un cuarto de hora.',
        'short' => 'Una contraseña tiene al menos :n caracteres. Unas cuantas palabras se recuerdan bien.',
        'long' => 'Una contraseña tiene como mucho :n caracteres.',
        'common' => 'Esta contraseña es de las más corrientes, y se prueba la primera. Elige otra.',
        'repeats' => 'Esta contraseña repite unos pocos caracteres. Elige una más difícil de adivinar.',
        'known' => 'Esta contraseña está hecha de tu nombre, tu dirección o tu escuela. Elige otra cosa.',
        'link' => 'Este enlace ya se usó, o ha caducado. Pide otro.',
        'old' => 'Esa no es tu contraseña de ahora.',
    ],
    'factor' => [
        'on' => 'El segundo paso ya está activado. Desactívalo antes de configurarlo de nuevo.',
        'wrong' => 'Este código no es el de ahora. Comprueba el reloj de tu dispositivo y escribe el siguiente.',
        'many' => 'Demasiados códigos equivocados. Espera un cuarto de hora y vuelve a entrar.',
    ],
    'registration' => [
        'follows' => 'Esta clase sigue su lista; nadie se inscribe en ella. Pide a tu escuela que te apunte.',
        'opens' => 'La inscripción se abre el :day.',
        'closed' => 'La inscripción se cerró el :day.',
        'none_left' => 'No queda ninguna sesión de esta clase.',
        'choose' => 'Elige al menos una sesión.',
        'moved' => 'Una de estas sesiones ya terminó o cambió de hora. Elige de la lista como está ahora.',
        'already' => 'Ya tienes hecha esta inscripción; arriba pone cómo está.',
        'name' => 'Escribe tu nombre completo, como lo tiene la escuela.',
        'email' => 'Escribe tu dirección de correo, como nombre@school.example.',
        'list' => 'Elige sesiones de la lista.',
    ],
    'code' => [
        'write' => 'Escribe el código de entrada: diez letras y cifras.',
        'slip' => 'Este código tiene un error. Compáralo letra a letra; no lleva vocales.',
        'none' => 'Ninguna clase tiene este código. Míralo otra vez en la página del curso.',
    ],
    'absence' => [
        'backwards' => 'El último día es anterior al primero.',
        'long' => 'Una ausencia dura como mucho :n días. Avisa a la escuela si es más larga.',
        'over' => 'Ese día ya pasó. Escribe a la escuela; puede justificar la ausencia después.',
    ],
    'date' => [
        'none_such' => 'No existe la fecha :date.',
        'iso' => '«:text» no es una fecha. Escribe año-mes-día, como 2027-02-18.',
        'unread' => '«:typed» no es una fecha. Escríbela como 18/2.',
        'order' => '«:typed» no es una fecha. El día va primero, como 18/2 para el 18 de febrero.',
        'none' => 'No existe la fecha «:typed». Escribe un día que tenga ese mes.',
        'weekday' => 'En :year ese día es :date. ¿Cuál de los dos es?',
        'outside' => 'No hay ningún «:typed» en el curso. Escribe también el mes, como 18/2.',
        'several' => '«:typed» puede ser cualquiera de estas: :some. Escribe también el mes.',
    ],
    'time' => [
        'unread' => '«:typed» no es una hora. Escríbela como 9, 9:05 o 0905.',
        'hour' => '«:typed» no es una hora: no existen las :hour.',
        'early' => 'Las :time es antes de las 07:00. ¿Es así?',
        'late' => 'Las :time es después de las 21:00. ¿Es así?',
        'or' => '¿:one o :other?',
        'figures' => ':why Escríbela con cuatro cifras, como 15:00 o 03:00.',
    ],
    'room' => 'La sala no se abrió: :why Prueba dentro de un minuto, o entra por teléfono.',
];
