/** Names of breeds to suggest while somebody types; anything else may be written. From memory. */
export const BREED_NAMES: readonly string[] = [
  'Alaskan Malamute', 'Australian Cattle Dog', 'Australian Shepherd', 'Basset Hound', 'Beagle', 'Belgian Malinois',
  'Bernese Mountain Dog', 'Border Collie', 'Border Terrier', 'Boxer', 'Brittany', 'Bull Terrier', 'Bullmastiff',
  'Cane Corso', 'Cavalier King Charles Spaniel', 'Chesapeake Bay Retriever', 'Chihuahua', 'Cocker Spaniel', 'Collie',
  'Crossbreed', 'Dachshund', 'Dalmatian', 'Dobermann', 'Dutch Shepherd', 'English Springer Spaniel', 'Flat-Coated Retriever',
  'French Bulldog', 'German Shepherd Dog', 'German Shorthaired Pointer', 'German Wirehaired Pointer', 'Golden Retriever',
  'Great Dane', 'Greyhound', 'Hovawart', 'Hungarian Vizsla', 'Irish Setter', 'Jack Russell Terrier', 'Labrador Retriever',
  'Lagotto Romagnolo', 'Leonberger', 'Lurcher', 'Mastiff', 'Newfoundland', 'Old English Sheepdog', 'Papillon', 'Pug',
  'Rhodesian Ridgeback', 'Rottweiler', 'Saluki', 'Samoyed', 'Siberian Husky', 'Staffordshire Bull Terrier', 'Standard Poodle',
  'Weimaraner', 'Welsh Corgi (Pembroke)', 'Whippet', 'Yorkshire Terrier',
];
